<?php

declare(strict_types=1);

namespace Nomada\App\View\Publishing;

use Illuminate\Support\Facades\DB;
use Nomada\App\Support\Say;
use Nomada\App\View\Publishing\Webhooks\MessageLine;
use Nomada\App\View\Publishing\Webhooks\WebhookLine;
use Nomada\Core\Term\Zone;
use stdClass;

/** Which other programs are told, and what became of each message. */
final readonly class WebhooksPage
{
    private const SHOWN = 100;

    /**
     * @param  list<WebhookLine>  $webhooks
     * @param  list<MessageLine>  $messages  newest first
     */
    private function __construct(public array $webhooks, public array $messages, public int $all)
    {
    }

    public static function of(Zone $zone): self
    {
        $webhooks = DB::table('webhooks')
            ->leftJoin('webhook_messages as m', 'm.webhook_id', '=', 'webhooks.id')
            ->whereNull('stopped_at')
            ->groupBy('webhooks.id')
            ->orderBy('webhooks.id')
            ->get([
                'webhooks.id',
                'address',
                DB::raw('count(m.arrived_at) as arrived'),
                DB::raw('count(m.due_at) as waiting'),
                DB::raw('count(m.id) filter (where m.due_at is null and m.arrived_at is null) as lost'),
            ])
            ->map(
                fn (stdClass $w): WebhookLine => new WebhookLine(
                    (int) $w->id,
                    $w->address,
                    (int) $w->arrived,
                    (int) $w->waiting,
                    (int) $w->lost,
                ),
            )
            ->all();
        $messages = DB::table('webhook_messages as m')
            ->join('webhooks', 'webhooks.id', '=', 'm.webhook_id')
            ->orderByDesc('m.id')
            ->limit(self::SHOWN)
            ->get([
                'm.id',
                DB::raw('extract(epoch from m.created_at)::bigint as at'),
                'kind',
                DB::raw("coalesce(body->'data'->>'title', '') as about"),
                'address',
                'arrived_at',
                'due_at',
                'tries',
                DB::raw("coalesce(answer, '') as answer"),
                'stopped_at',
            ])
            ->map(
                fn (stdClass $m): MessageLine => new MessageLine(
                    (int) $m->id,
                    Say::day($zone->dateAt((int) $m->at)).' '.$zone->clock((int) $m->at),
                    $m->kind,
                    $m->about,
                    $m->address,
                    $m->arrived_at !== null ? 'arrived' : ($m->due_at !== null ? 'waiting' : 'given-up'),
                    (int) $m->tries,
                    $m->answer,
                    $m->stopped_at === null,
                ),
            )
            ->all();

        return new self(array_values($webhooks), array_values($messages), DB::table('webhook_messages')->count());
    }
}
