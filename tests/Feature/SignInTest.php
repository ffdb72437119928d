<?php

use Illuminate\Support\Facades\Hash;
use Nomada\App\Models\Term\Person;

beforeEach(function () {
    $this->school();
    Person::query()
        ->where('sourced_id', 'A-1')
        ->update(['password' => Hash::make('right-one')]);
});

test('address and password bring a person in, with a new session', function () {
    $this->get('/sign-in');
    $before = session()->getId();
    $this->post('/sign-in', ['email' => ' Candela@School.example ', 'password' => 'right-one'])->assertRedirect(
        '/',
    );

    $this->assertAuthenticated();
    expect(session()->getId())->not->toBe($before);
});

test('a wrong password is told beside the field, and after ten tries from there a pause is asked for', function () {
    for ($i = 0; $i < 10; $i++) {
        $this->post('/sign-in', [
            'email' => 'candela@school.example',
            'password' => 'wrong',
        ])->assertSessionHasErrors('email');
    }
    $this->post('/sign-in', ['email' => 'candela@school.example', 'password' => 'right-one'])
        ->assertStatus(429)
        ->assertSee('Too many attempts');
    $this->assertGuest();
});

test('imported people have a password that nobody knows', function () {
    $this->post('/sign-in', ['email' => 'rui@school.example', 'password' => ''])->assertSessionHasErrors(
        'password',
    );
    expect(Hash::check('', Person::query()->where('sourced_id', 'S-2')->value('password')))->toBeFalse();
});

test('the demo offers its people; outside the demo the address does not exist', function () {
    $this->get('/sign-in')->assertSee('Candela Marrero')->assertSee('Galia Zabalo');
    $this->post('/sign-in/demo', ['person' => 'S-1'])->assertRedirect('/');
    $this->assertAuthenticated();
    auth()->logout();

    config(['nomada.demo' => false]);
    $this->get('/sign-in')->assertDontSee('Candela Marrero');
    $this->post('/sign-in/demo', ['person' => 'A-1'])->assertNotFound();
    $this->assertGuest();
});

test('after signing in a person comes to where they wanted to go, within Nomada only', function () {
    $this->get('/term')->assertRedirect('/sign-in');
    $this->post('/sign-in', ['email' => 'candela@school.example', 'password' => 'right-one'])->assertRedirect(
        '/term',
    );
    $this->post('/sign-out')->assertRedirect('/sign-in');
    $this->assertGuest();
});
