<?php

use Nomada\App\Support\Clock;

beforeEach(fn () => $this->school());

test('the demo\'s clock stands in the story, and moves by hand for everybody', function () {
    $now = fn (): string => gmdate('Y-m-d H:i', app(Clock::class)->seconds());
    expect($now())->toBe('2027-02-09 08:52');
    $this->as('A-1')->post('/clock', ['step' => '60']);
    expect($now())->toBe('2027-02-09 09:52');
    $this->post('/clock', ['step' => '-1440']);
    expect($now())->toBe('2027-02-08 09:52');
    // On the school's clock for staff, on their own for a student.
    $this->post('/clock', ['date' => '2027-02-11', 'time' => '9.30']);
    expect($now())->toBe('2027-02-11 08:30');
    $this->as('S-1')->post('/clock', ['date' => '2027-02-11', 'time' => '9.30']);
    expect($now())->toBe('2027-02-11 09:30');
});

test('to the next session is to the opening of its doors, of what one has a part in', function () {
    $this->as('S-1')->post('/clock', ['step' => 'next']);
    expect(gmdate('Y-m-d H:i', app(Clock::class)->seconds()))->toBe('2027-02-11 08:50');
    app(Clock::class)->set(strtotime('2027-05-01T00:00:00Z'));
    $this->from('/me')
        ->post('/clock', ['step' => 'next'])
        ->assertSessionHasErrors(['step' => 'There are no sessions after this time.']);
});

test(
    'a step that is none, and a time that is none, are refused; outside the demo the clock is the machine\'s',
    function () {
        $this->as('A-1')
            ->post('/clock', ['step' => '7'])
            ->assertSessionHasErrors('step');
        $this->post('/clock', ['date' => '2027-02-11', 'time' => 'noonish'])->assertSessionHasErrors('time');
        config(['nomada.demo' => false]);
        $this->post('/clock', ['step' => '60'])->assertForbidden();
        expect(abs(app(Clock::class)->seconds() - time()))->toBeLessThan(5);
    },
);
