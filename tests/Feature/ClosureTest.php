<?php

use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Term\ClosedRange;

beforeEach(fn () => $this->school());

test(
    'before days are closed it is told what falls on them; then the sessions are lost with the reason',
    function () {
        $fair = ['first' => '2027-02-22', 'last' => '2027-02-24', 'reason' => 'Harbour fair'];
        // Monday to Wednesday: three of Spanish, one of Marine Science.
        $this->as('A-1')
            ->get('/term/closing?'.http_build_query($fair))
            ->assertOk()
            ->assertSee('4 sessions of 2 sections would be lost');
        expect(DB::table('sessions')->where('state', 'lost')->where('reason', 'Harbour fair')->count())->toBe(0);
        $this->post('/term/closures', $fair)->assertRedirect('/term')->assertSessionHas('said');
        expect(DB::table('sessions')->where('state', 'lost')->where('reason', 'Harbour fair')->count())->toBe(4);
        $this->get('/term')->assertSee('58 school days')->assertSee('Harbour fair');
    },
);

test('an opened closure gives back what it took, and nothing that is past', function () {
    $this->as('A-1')
        ->delete('/term/closures/'.ClosedRange::query()->where('reason', 'Carnival')->value('id'))
        ->assertRedirect('/term');
    expect(
        DB::table('sessions')
            ->whereBetween('day', ['2027-02-15', '2027-02-17'])
            ->where('state', 'planned')
            ->count(),
    )->toBe(4);
    $this->delete('/term/closures/'.ClosedRange::query()->where('reason', 'Staff day')->value('id'));
    expect(DB::table('sessions')->where('day', '2027-01-29')->where('state', 'planned')->count())->toBe(0);
});

test('what cannot be closed is told beside its field', function (array $given, string $field, string $words) {
    $this->as('A-1')
        ->from('/term')
        ->post('/term/closures', $given)
        ->assertSessionHasErrors([$field => $words]);
    expect(ClosedRange::query()->count())->toBe(3);
})->with([
    [['first' => '', 'reason' => 'x'], 'first', 'Choose the first closed day.'],
    [['first' => '2027-03-01', 'reason' => ''], 'reason', 'Enter why school is closed; everybody can read it.'],
    [
        ['first' => '2027-05-03', 'reason' => 'x'],
        'first',
        'These days are not all in the term. Choose days from Mon 11 Jan to Fri 23 Apr.',
    ],
    [
        ['first' => '2027-02-12', 'last' => '2027-02-15', 'reason' => 'x'],
        'first',
        'Carnival (Mon 15 Feb to Wed 17 Feb) is already closed. Choose other days, or reopen it first.',
    ],
]);

test('a range that ends before it begins is refused', function () {
    $this->as('A-1')
        ->from('/term')
        ->post('/term/closures', ['first' => '2027-03-03', 'last' => '2027-03-01', 'reason' => 'x'])
        ->assertSessionHasErrors('last');
    expect(ClosedRange::query()->count())->toBe(3);
});
