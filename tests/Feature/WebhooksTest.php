<?php

use Illuminate\Http\Client\Request;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Http;
use Nomada\App\Actions\Publishing\Webhooks;
use Nomada\Core\Publishing\Webhook;

beforeEach(function () {
    $this->standins();
    $this->school();
});

/** Adds one from the screen, and gives back its secret. */
function webhookAt($test, string $address = 'https://desk.school.example/in'): string
{
    return $test
        ->as('A-1')
        ->post('/publishing/webhooks', ['address' => $address])
        ->assertSessionHasNoErrors()
        ->getSession()
        ->get('webhook.secret');
}

test('another program is told of what is published and of what has changed, signed, once', function () {
    $secret = webhookAt($this);
    Http::fake(['desk.school.example/*' => Http::response('', 204)]);
    app(Webhooks::class)->tell(Webhooks::CHANGED, ['section' => 'MAR', 'title' => 'Marine — ñ']);
    expect(app(Webhooks::class)->send())->toBe(['arrived' => 1, 'failed' => 0]);
    Http::assertSent(function (Request $r) use ($secret): bool {
        if (! $r->hasHeader('webhook-id')) {
            return false;
        }
        $at = (int) $r->header('webhook-timestamp')[0];
        $id = $r->header('webhook-id')[0];

        return $r->header('webhook-signature')[0] ===
            Webhook::headers($secret, $id, $at, $r->body())['webhook-signature'] &&
            abs($at - time()) < 30 &&
            $r->data()['type'] === 'section.changed' &&
            $r->data()['data'] == ['section' => 'MAR', 'title' => 'Marine — ñ'];
    });
    // Sent again it keeps its id; on its own it is not sent again.
    expect(app(Webhooks::class)->send())->toBe(['arrived' => 0, 'failed' => 0]);
    $message = DB::table('webhook_messages')->first();
    $this->as('A-1')
        ->post("/publishing/webhooks/messages/$message->id/again")
        ->assertRedirect('/publishing/webhooks');
    Http::assertSentCount(2);
    expect(DB::table('webhook_messages')->pluck('key')->all())->toBe([$message->key]);
    $this->get('/publishing/webhooks')
        ->assertSeeInOrder([
            'Messages sent',
            'section.changed',
            'Marine — ñ',
            'delivered',
            'It responded with 204.',
            'Send again',
        ])
        ->assertDontSee($secret);
});

test('publishing tells, in the same act: the first time, and then of each change', function () {
    Artisan::call('nomada:links');
    Artisan::call('nomada:register');
    webhookAt($this);
    Artisan::call('nomada:publish', ['--section' => ['MAR']]);
    Artisan::call('nomada:publish', ['--section' => ['MAR']]);
    $kinds = fn (): array => DB::table('webhook_messages')->orderBy('id')->pluck('kind')->all();
    expect($kinds())->toBe(['section.published']);
    $session = DB::table('sessions')->where('day', '2027-02-11')->first();
    $this->as('A-1')->post("/sections/MAR/series/$session->series_id/sessions/$session->id/cancellation", [
        'reason' => 'Fair',
    ]);
    Artisan::call('nomada:publish', ['--section' => ['MAR']]);
    expect($kinds())->toBe(['section.published', 'section.changed']);
    $told = json_decode(DB::table('webhook_messages')->orderByDesc('id')->value('body'), true);
    expect($told['data']['section'])
        ->toBe('MAR')
        ->and($told['data']['changes'][0])
        ->toMatchArray(['kind' => 'cancelled'])
        // No link, code or address that opens anything.
        ->and(json_encode($told))
        ->not->toContain('/join/');
});

test('what does not arrive is tried again, later and later, until it is given up', function () {
    webhookAt($this);
    $this->freezeSecond();
    Http::fake(['*' => Http::response('', 503)]);
    app(Webhooks::class)->tell(Webhooks::CHANGED, []);
    $waits = [];
    for ($n = 0; $n < 10; $n++) {
        $before = DB::table('webhook_messages')->value('due_at');
        expect(app(Webhooks::class)->send())->toBe(['arrived' => 0, 'failed' => 1]);
        expect(app(Webhooks::class)->send())->toBe(['arrived' => 0, 'failed' => 0]);
        $due = DB::table('webhook_messages')->value('due_at');
        $waits[] = $due === null ? null : (int) round(now()->diffInSeconds($due));
        $this->travelTo($due ?? $before);
        $this->travel(1)->seconds();
    }
    expect($waits[0])->toBe(5)->and($waits[8])->toBe(86400)->and($waits[9])->toBeNull();
    $this->travelBack();
    $this->as('A-1')->get('/publishing/webhooks')->assertSee('1 failed')->assertSee('10 attempts.');
});

test('who answers that they are gone is told no more, and neither is who was taken out', function () {
    webhookAt($this);
    webhookAt($this, 'https://other.school.example/in');
    Http::fake(['desk.*' => Http::response('', 410), 'other.*' => Http::failedConnection()]);
    app(Webhooks::class)->tell(Webhooks::CHANGED, []);
    app(Webhooks::class)->tell(Webhooks::CHANGED, []);
    app(Webhooks::class)->send();
    expect(DB::table('webhooks')->orderBy('id')->pluck('stopped_at')->map(fn ($at): bool => $at !== null)->all())
        ->toBe([true, false])
        ->and(DB::table('webhook_messages')->where('answer', 'It did not respond.')->count())
        ->toBe(2);
    $other = DB::table('webhooks')->max('id');
    $this->as('A-1')
        ->delete("/publishing/webhooks/$other")
        ->assertSessionHas('said');
    expect(DB::table('webhook_messages')->whereNotNull('due_at')->count())->toBe(0);
    $this->delete("/publishing/webhooks/$other")->assertNotFound();
    $this->post("/publishing/webhooks/$other/trial")->assertNotFound();
    $gone = DB::table('webhook_messages')->max('id');
    $this->post("/publishing/webhooks/messages/$gone/again")->assertNotFound();
});

test('a wrong address is told beside its field, a trial is sent at once, and ten are enough', function () {
    $this->as('A-1')
        ->post('/publishing/webhooks', ['address' => 'http://desk.school.example'])
        ->assertSessionHasErrors('address');
    webhookAt($this);
    Http::fake(['*' => Http::response('', 200)]);
    $this->post('/publishing/webhooks/'.DB::table('webhooks')->value('id').'/trial');
    // Anybody who waits for it waits for nothing else that is due.
    app(Webhooks::class)->tell(Webhooks::CHANGED, []);
    $this->post('/publishing/webhooks/'.DB::table('webhooks')->value('id').'/trial');
    expect(DB::table('webhook_messages')->whereNotNull('due_at')->pluck('kind')->all())->toBe([Webhooks::CHANGED]);
    Http::assertSent(fn (Request $r): bool => $r->data() == ['type' => 'nomada.trial', 'data' => []] + $r->data());
    for ($n = 1; $n < 10; $n++) {
        webhookAt($this, "https://desk$n.school.example/");
    }
    $this->post('/publishing/webhooks', ['address' => 'https://one.more.example/'])->assertSessionHasErrors(
        'address',
    );
});
