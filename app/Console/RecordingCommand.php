<?php

declare(strict_types=1);

namespace Nomada\App\Console;

use Illuminate\Support\Facades\DB;
use Nomada\App\Actions\Recording\FollowRecordings;
use Nomada\App\Actions\Recording\KeepTranscript;
use Nomada\App\Destinations\DestinationFailure;
use Nomada\App\Models\Term\Section;
use Nomada\App\Models\Timetable\Session;
use Nomada\App\Support\Clock;
use Nomada\App\Support\FaultWords;
use Nomada\App\Support\Say;
use Nomada\Core\Fault;
use Nomada\Core\Interchange\WebVtt;
use Nomada\Core\Recording\RecordingState;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Timetable\SessionState;

final class RecordingCommand extends Sections
{
    use SaysFaults;

    protected $signature = 'nomada:recording
        {--section=* : sourcedId}
        {--day= : the day of the session, as 2027-02-09}
        {--vtt= : a transcript to be kept with its recording}
        {--json}';

    protected $description = 'Fetch finished recordings (runs every minute), or import a transcript';

    /** Seconds after its end for which a session's recordings are asked for. */
    private const UNTIL = 21600;

    /** Seconds after which one that never came is given up, and said so. */
    private const GIVEN_UP = 604800;

    public function handle(FollowRecordings $follow, KeepTranscript $keep, Clock $clock): int
    {
        return $this->option('vtt') === null ? $this->fetch($follow, $clock) : $this->keep($keep, $clock);
    }

    private function fetch(FollowRecordings $follow, Clock $clock): int
    {
        $now = $clock->seconds();
        $ready = $failed = 0;
        Session::query()
            ->where('state', SessionState::Planned)
            ->where('starts_at', '<=', gmdate('Y-m-d H:i:sP', $now + 900))
            ->where(
                fn ($q) => $q
                    ->where('ends_at', '>', gmdate('Y-m-d H:i:sP', $now - self::UNTIL))
                    // What is known and has not come is asked for much longer.
                    ->orWhereIn(
                        'id',
                        DB::table('recordings')
                            ->whereIn('state', ['recording', 'processing'])
                            ->where('started_at', '>', gmdate('Y-m-d H:i:sP', $now - self::GIVEN_UP))
                            ->select('session_id'),
                    ),
            )
            ->with(['series.section.term.school', 'series.section.term.closures', 'series.hostAccount.plan'])
            ->orderBy('id')
            ->each(function (Session $session) use ($follow, &$ready, &$failed): void {
                try {
                    $ready += $follow($session);
                } catch (DestinationFailure $e) {
                    $failed++;
                    $this->components->warn($e->getMessage());
                }
            });
        DB::table('recordings')
            ->whereIn('state', ['recording', 'processing'])
            ->where('started_at', '<=', gmdate('Y-m-d H:i:sP', $now - self::GIVEN_UP))
            ->update([
                'state' => RecordingState::Failed,
                'trouble' => DB::raw("coalesce(trouble, '".(string) __('console.recording.given_up')."')"),
            ]);
        $this->option('json')
            ? $this->asJson(compact('ready', 'failed'))
            : $this->line(trans_choice('console.recording.ready', $ready));

        return $failed === 0 ? self::SUCCESS : self::FAILURE;
    }

    private function keep(KeepTranscript $keep, Clock $clock): int
    {
        $path = (string) $this->option('vtt');
        if (! is_file($path)) {
            return $this->fails([], (string) __('console.no_file', ['path' => $path]));
        }
        $ids = array_values(array_filter((array) $this->option('section'), is_string(...)));
        $section = count($ids) === 1 ? Section::query()->where('sourced_id', $ids[0])->first() : null;
        if ($section === null) {
            return $this->fails([], (string) __('console.one_section'));
        }
        try {
            $day = LocalDate::parse((string) $this->option('day'));
        } catch (Fault $e) {
            return $this->fails([], FaultWords::of($e));
        }
        $session = Session::query()
            ->whereIn('series_id', $section->series()->pluck('series.id'))
            ->where('day', $day->iso())
            ->where('state', SessionState::Planned)
            ->where('starts_at', '<=', $clock->now())
            ->orderBy('starts_at')
            ->first();
        if ($session === null) {
            return $this->fails(
                [],
                (string) __('console.recording.none', [
                    'section' => $section->name(),
                    'day' => Say::day($day),
                ]),
            );
        }
        $transcript = new WebVtt(basename($path), (string) file_get_contents($path));
        if ($transcript->faults !== []) {
            return $this->fails($transcript->faults, null);
        }
        $parts = array_map(
            fn (array $p): array => ['from' => $p[0] / 1000, 'to' => $p[1] / 1000],
            $keep($keep->recordingOf($session), $transcript),
        );
        if ($this->option('json')) {
            $this->asJson($parts);
        } else {
            $this->drawTable(['from', 'to'], array_map(fn (array $p): array => [$p['from'], $p['to']], $parts));
        }

        return self::SUCCESS;
    }
}
