<?php

use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Nomada\App\Destinations\Places;
use Nomada\App\Models\Registration\Letter;
use Nomada\Standins\MimeMessage;
use Tests\Support\MailServer;

beforeEach(function () {
    $this->standins();
    $this->mail = MailServer::shared();
    $this->mail->empty();
    $this->school();
    config([
        'places.post' => [
            'kind' => 'smtp',
            'url' => $this->mail->url(),
            'user' => '',
            'password' => '',
            'pace' => '',
            'timeout' => '',
        ],
    ]);
    app(Places::class)->forget();
    Artisan::call('nomada:links');
    Artisan::call('nomada:register');
});

test('letters go to a real mail server, each once, with the timetable in it', function () {
    $this->as('A-1')->post('/sections/MAR/series/'.DB::table('series')->value('id').'/invitations');
    app(Nomada\App\Post\Letters::class)->invite(Nomada\App\Models\Timetable\Series::query()->firstOrFail());
    postGoes();
    postGoes();
    $letters = array_map(fn (string $l) => new MimeMessage($l), $this->mail->letters());
    $to = array_map(fn (MimeMessage $m): string => $m->header('To'), $letters);
    expect(count($letters))
        ->toBe(Letter::query()->whereNotNull('sent_at')->count())
        ->toBeGreaterThan(3)
        ->and(implode(' ', $to))
        ->toContain('galia@school.example')
        ->and($letters[0]->text())
        ->toContain('/join/');
    expect(implode('', $this->mail->letters()))->toContain('text/calendar; method=REQUEST');
});

test('a mail server is tried, and one that is not there is told; what could not go waits', function () {
    $this->as('A-1')
        ->put('/publishing/places/post/trial', ['kind' => 'smtp', 'url' => $this->mail->url()])
        ->assertSessionHas('trial.works', true);
    $this->put('/publishing/places/post/trial', [
        'kind' => 'smtp',
        'url' => 'smtp://127.0.0.1:9',
    ])->assertSessionHas('trial.works', false);
    config(['places.post.url' => 'smtp://127.0.0.1:9']);
    app(Places::class)->forget();
    app(Nomada\App\Post\Letters::class)->invite(Nomada\App\Models\Timetable\Series::query()->firstOrFail());
    postGoes();
    expect(Letter::query()->whereNotNull('sent_at')->count())
        ->toBe(0)
        ->and(Letter::query()->value('trouble'))
        ->not->toBeEmpty();
    config(['places.post.url' => $this->mail->url()]);
    app(Places::class)->forget();
    postGoes();
    expect(Letter::query()->whereNull('sent_at')->count())->toBe(0);
});
