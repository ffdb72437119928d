<?php

use Illuminate\Session\TokenMismatchException;
use Illuminate\Support\Facades\Route;

test('every error has a page of ours that says what to do next', function (int $status, string $words) {
    config(['app.debug' => false]);
    Route::get(
        '/broken',
        fn () => match ($status) {
            500 => throw new RuntimeException('secret detail'),
            419 => throw new TokenMismatchException(),
            default => abort($status),
        },
    )->middleware('web');

    $this->get('/broken')
        ->assertStatus($status)
        ->assertSee($words)
        ->assertSee('Nomada')
        ->assertDontSee('secret detail')
        ->assertDontSee('Laravel');
})->with([
    [401, 'Sign in first'],
    [403, 'You do not have access'],
    [404, 'Page not found'],
    [405, 'This page cannot be opened directly'],
    [410, 'This did not work'],
    [419, 'The page expired'],
    [429, 'Too many attempts'],
    [500, 'Something went wrong'],
    [502, 'Something went wrong'],
    [503, 'Back in a moment'],
]);

test('maintenance shows our page', function () {
    // A file would take the tests beside this one down with it.
    config(['app.maintenance' => ['driver' => 'cache', 'store' => 'array']]);
    $this->artisan('down')->assertSuccessful();
    try {
        $this->get('/')->assertStatus(503)->assertSee('Back in a moment');
    } finally {
        $this->artisan('up');
    }
});

test('every answer is guarded: nothing inline, nothing from elsewhere, no framing', function () {
    $this->school();
    foreach (['/sign-in', '/nowhere'] as $path) {
        $policy = (string) $this->get($path)->headers->get('Content-Security-Policy');
        expect($policy)
            ->toContain("default-src 'none'")
            ->toContain("script-src 'self'")
            ->toContain("style-src 'self'")
            ->toContain("frame-ancestors 'none'")
            ->not->toContain('unsafe');
    }
    $page = (string) $this->as('A-1')->get('/')->getContent();
    expect($page)
        ->not->toMatch('/<script(?![^>]* src=)/')
        ->not->toContain(' style="')
        ->not->toMatch('/\son[a-z]+="/');
});
