<?php

declare(strict_types=1);

namespace Nomada\Bench;

use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Nomada\App\Actions\Publishing\Drifts;
use Nomada\App\Actions\Publishing\StartRun;
use Nomada\App\Actions\Publishing\TellTruth;
use Nomada\App\Destinations\FieldWords;
use Nomada\App\Models\Term\Section;
use Nomada\App\Queries\SectionFactsQuery;
use Nomada\Core\Publishing\Place;
use Nomada\Core\Publishing\WantedPlacements;

/**
 * About 5,000 placements are published by the queue workers that bin/start has, every step locked, done and noted
 * exactly once; the peer is a bare curl_multi loop that sends the same bodies to the same stand-ins.
 */
final class Publishing
{
    private const MANY = 5000;

    /** As many as our workers have at once: three of them, eight each. */
    private const CONNECTIONS = 24;

    public function run(): bool
    {
        $served = new ServedSchool(null);
        try {
            $sections = [];
            foreach (Section::query()->orderBy('id')->limit(400)->get() as $section) {
                $sections[] = $section->id;
                Artisan::call('nomada:links', ['--section' => [$section->sourced_id]]);
                Artisan::call('nomada:register', ['--section' => [$section->sourced_id]]);
                if (DB::table('published_items')->whereIn('section_id', $sections)->count() >= self::MANY) {
                    break;
                }
            }
            DB::table('runs')->delete();
            $at = microtime(true);
            $run = app(StartRun::class)->publish($sections, null)->run;
            while ($run !== null && $run->refresh()->ended_at === null && microtime(true) - $at < 600) {
                usleep(50_000);
            }
            $ours = microtime(true) - $at;
            $done = (int) DB::table('run_steps')->where('state', 'done')->count();
            $this->lookBack($sections);
            $bodies = $this->bodies($sections);
            $served->standins->reset();
            $at = microtime(true);
            $sent = $this->send($served, $bodies);
            $peer = microtime(true) - $at;
            printf(
                "publish: %d placements, each locked, done and noted once\n  %.1f s (%.0f a second), a bare loop of ".
                    "%d requests %.1f s (%.0f a second): %.2f times as long\n",
                $done,
                $ours,
                $done / $ours,
                $sent,
                $peer,
                $sent / $peer,
                $ours / $peer,
            );

            return $done === count($bodies) && $sent === $done && $ours <= 2 * $peer;
        } finally {
            $served->end();
        }
    }

    /**
     * What it takes to read all of it back, for drift and for the truth of seven days.
     *
     * @param  list<int>  $sections
     */
    private function lookBack(array $sections): void
    {
        // The run's own last line is being worked out: not beside it.
        while (DB::table('jobs')->exists()) {
            usleep(50_000);
        }
        gc_collect_cycles();
        memory_reset_peak_usage();
        $before = memory_get_usage();
        $at = microtime(true);
        $truth = app(TellTruth::class)($sections);
        $took = microtime(true) - $at;
        $at = microtime(true);
        $drift = app(Drifts::class)->look($sections, Place::cases());
        printf(
            'truth: %d people, %d sessions ahead, %d pages in %.1f s; drift of %d placements in %.1f s; '.
                "%d MB at most\n",
            $truth->people,
            $truth->sessions,
            $truth->pages,
            $took,
            $drift['looked'],
            microtime(true) - $at,
            (memory_get_peak_usage() - $before) >> 20,
        );
    }

    /**
     * @param  list<int>  $sections
     * @return list<array{string, string, string, list<string>}> method, path, body and headers
     */
    private function bodies(array $sections): array
    {
        $out = [];
        foreach (array_chunk($sections, 20) as $some) {
            foreach (app(SectionFactsQuery::class)->for($some) as $facts) {
                foreach (WantedPlacements::of($facts) as $placement) {
                    [$space, $rest] = explode('/', $placement->key, 2);
                    $json = fn (): string => (string) json_encode([
                        'title' => $placement->fields['title'],
                        'block' => $placement->fields['week'] ?? 'pinned',
                        'fields' => FieldWords::fields($placement),
                    ]);
                    $out[] = match ($placement->place) {
                        Place::Calendar => [
                            'PUT',
                            '/calendar/people/'.rawurlencode($space).'/'.rawurlencode($rest).'.ics',
                            $placement->body(),
                            ['Content-Type: text/calendar'],
                        ],
                        Place::CoursePage => [
                            'PUT',
                            '/course/pages/'.rawurlencode($space).'/items/'.rawurlencode($rest),
                            $json(),
                            ['Content-Type: application/json'],
                        ],
                        Place::ClassStream => [
                            'POST',
                            '/stream/sections/'.rawurlencode($space).'/posts',
                            $json(),
                            ['Content-Type: application/json', "Idempotency-Key: $placement->key"],
                        ],
                    };
                }
            }
        }

        return $out;
    }

    /** @param  list<array{string, string, string, list<string>}>  $requests */
    private function send(ServedSchool $served, array $requests): int
    {
        $multi = curl_multi_init();
        $sent = 0;
        $next = 0;
        $busy = 0;
        $add = function () use (&$next, &$busy, $requests, $multi, $served): void {
            [$method, $path, $body, $headers] = $requests[$next++];
            $curl = curl_init($served->standins->url.$path);
            curl_setopt($curl, CURLOPT_CUSTOMREQUEST, $method === 'POST' ? 'POST' : 'PUT');
            curl_setopt($curl, CURLOPT_POSTFIELDS, $body);
            curl_setopt($curl, CURLOPT_RETURNTRANSFER, true);
            curl_setopt($curl, CURLOPT_HTTPHEADER, [
                ...$headers,
                "Authorization: Bearer {$served->standins->token}",
            ]);
            curl_multi_add_handle($multi, $curl);
            $busy++;
        };
        while ($next < count($requests) || $busy > 0) {
            while ($busy < self::CONNECTIONS && $next < count($requests)) {
                $add();
            }
            curl_multi_exec($multi, $running);
            curl_multi_select($multi, 0.05);
            while ($done = curl_multi_info_read($multi)) {
                $sent += (int) (curl_getinfo($done['handle'], CURLINFO_RESPONSE_CODE) < 300);
                curl_multi_remove_handle($multi, $done['handle']);
                $busy--;
            }
        }

        return $sent;
    }
}
