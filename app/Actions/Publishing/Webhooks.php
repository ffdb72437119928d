<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Publishing;

use Illuminate\Http\Client\ConnectionException;
use Illuminate\Support\Facades\Crypt;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Http;
use Nomada\App\Actions\Joining\Audit;
use Nomada\App\Models\Term\Person;
use Nomada\Core\Fault;
use Nomada\Core\Language\Said;
use Nomada\Core\Publishing\Webhook;
use stdClass;

/**
 * Tells other programs what the class streams tell: a message for each told change and each first publishing, written
 * in the transaction of what it tells, so that none is lost, and sent by a command of its own, so that nobody waits for
 * it. It may arrive twice (its id tells); never in part.
 */
final readonly class Webhooks
{
    public const CHANGED = 'section.changed';

    public const PUBLISHED = 'section.published';

    public const TRIAL = 'nomada.trial';

    private const MOST = 10;

    /** Messages that are sent in one go. */
    private const AT_ONCE = 50;

    /** Seconds for one answer. */
    private const PATIENCE = 15;

    public function __construct(private Audit $audit)
    {
    }

    /**
     * @return string the secret, which is shown once
     *
     * @throws Fault
     */
    public function add(string $typed, Person $by): string
    {
        $address = Webhook::address($typed);
        $secret = Webhook::secret(random_bytes(32));
        DB::transaction(function () use ($address, $secret, $by): void {
            if (DB::table('webhooks')->whereNull('stopped_at')->count() >= self::MOST) {
                throw new Fault('places.webhooks.most', 'address', ['n' => self::MOST]);
            }
            DB::table('webhooks')->insert([
                'address' => $address,
                'secret' => Crypt::encryptString($secret),
                'created_by' => $by->id,
                'created_at' => now(),
            ]);
            ($this->audit)('place', null, $by, new Said('audit.webhook', ['address' => $address]));
        });

        return $secret;
    }

    public function stop(int $webhook, Person $by): void
    {
        DB::transaction(function () use ($webhook, $by): void {
            $address = DB::table('webhooks')->where('id', $webhook)->whereNull('stopped_at')->value('address');
            abort_if($address === null, 404);
            $this->end($webhook);
            ($this->audit)('place', null, $by, new Said('audit.no_webhook', ['address' => $address]));
        });
    }

    /**
     * Within the transaction of what it tells.
     *
     * @param  array<string, mixed>  $data
     */
    public function tell(string $kind, array $data): void
    {
        foreach (DB::table('webhooks')->whereNull('stopped_at')->orderBy('id')->pluck('id') as $webhook) {
            $this->write((int) $webhook, $kind, $data);
        }
    }

    public function try(int $webhook): void
    {
        abort_if(DB::table('webhooks')->where('id', $webhook)->whereNull('stopped_at')->doesntExist(), 404);
        $this->send($this->write($webhook, self::TRIAL, []));
    }

    /** Sends a message once more, whatever became of it; under its own id, so that its receiver knows it. */
    public function again(int $message): void
    {
        $n = DB::table('webhook_messages')
            ->where('id', $message)
            ->whereIn('webhook_id', DB::table('webhooks')->whereNull('stopped_at')->select('id'))
            ->update(['due_at' => now(), 'arrived_at' => null, 'tries' => 0]);
        abort_if($n === 0, 404);
        $this->send($message);
    }

    /**
     * Sends what is due. Each message is held while it is sent, so that two that send at once take different ones; one
     * that dies on the way leaves it due.
     *
     * @param  int|null  $only  one message, for somebody who waits for it; not what else is due behind it
     * @return array{arrived: int, failed: int}
     */
    public function send(?int $only = null): array
    {
        $sent = ['arrived' => 0, 'failed' => 0];
        for ($n = 0; $n < self::AT_ONCE; $n++) {
            $arrived = DB::transaction(function () use ($only): ?bool {
                $message = DB::table('webhook_messages as m')
                    ->join('webhooks as w', 'w.id', '=', 'm.webhook_id')
                    ->whereNull('stopped_at')
                    ->where('due_at', '<=', now())
                    ->when($only !== null, fn ($q) => $q->where('m.id', $only))
                    ->orderBy('due_at')
                    ->orderBy('m.id')
                    ->lock('for update of m skip locked')
                    ->first(['m.id', 'm.webhook_id', 'm.key', 'm.body', 'm.tries', 'w.address', 'w.secret']);

                return $message === null ? null : $this->one($message);
            });
            if ($arrived === null) {
                break;
            }
            $sent[$arrived ? 'arrived' : 'failed']++;
        }

        return $sent;
    }

    private function one(stdClass $message): bool
    {
        $headers = Webhook::headers(Crypt::decryptString($message->secret), $message->key, time(), $message->body);
        try {
            $answer = Http::timeout(self::PATIENCE)
                ->withoutRedirecting()
                ->withHeaders($headers)
                ->withBody($message->body, 'application/json')
                ->post($message->address);
            [$status, $words] = [
                $answer->status(),
                (string) __('places.webhooks.answered', ['status' => $answer->status()]),
            ];
        } catch (ConnectionException) {
            [$status, $words] = [0, (string) __('places.webhooks.silent')];
        }
        $hasArrived = $status >= 200 && $status < 300;
        $tries = (int) $message->tries + 1;
        $again = Webhook::again($tries);
        DB::table('webhook_messages')
            ->where('id', $message->id)
            ->update([
                'tries' => $tries,
                'tried_at' => now(),
                'arrived_at' => $hasArrived ? now() : null,
                'due_at' => $hasArrived || $again === null ? null : now()->addSeconds($again),
                'answer' => $words,
            ]);
        // Gone: its receiver wants nothing any more.
        if ($status === 410) {
            $this->end((int) $message->webhook_id);
        }

        return $hasArrived;
    }

    /** @param  array<string, mixed>  $data */
    private function write(int $webhook, string $kind, array $data): int
    {
        return DB::table('webhook_messages')->insertGetId([
            'webhook_id' => $webhook,
            'key' => 'msg_'.bin2hex(random_bytes(12)),
            'kind' => $kind,
            'body' => json_encode(
                ['type' => $kind, 'timestamp' => gmdate('Y-m-d\TH:i:s\Z'), 'data' => (object) $data],
                JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_THROW_ON_ERROR,
            ),
            'created_at' => now(),
            'due_at' => now(),
        ]);
    }

    private function end(int $webhook): void
    {
        DB::table('webhooks')
            ->where('id', $webhook)
            ->update(['stopped_at' => now()]);
        DB::table('webhook_messages')
            ->where('webhook_id', $webhook)
            ->update(['due_at' => null]);
    }
}
