<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Recording;

use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Presence\Recording;
use Nomada\App\Models\Timetable\Session;
use Nomada\App\Support\Clock;
use Nomada\Core\Interchange\WebVtt;
use Nomada\Core\Recording\Cue;
use Nomada\Core\Recording\Parts;
use Nomada\Core\Recording\RecordingState;

/** Keeps a transcript, and cuts the recording at its pauses. A part that is released already stays as it is. */
final readonly class KeepTranscript
{
    public function __construct(private Clock $clock)
    {
    }

    /** @return list<array{int, int}> the parts, in milliseconds */
    public function __invoke(Recording $recording, WebVtt $transcript): array
    {
        return DB::transaction(function () use ($recording, $transcript): array {
            $parts = Parts::of($transcript->cues, (int) $recording->milliseconds);
            DB::table('recording_cues')->where('recording_id', $recording->id)->delete();
            foreach (array_chunk($transcript->cues, 500, true) as $chunk) {
                DB::table('recording_cues')->insert(
                    array_map(
                        fn (Cue $c, int $n): array => [
                            'recording_id' => $recording->id,
                            'n' => $n,
                            'from_ms' => $c->from,
                            'to_ms' => $c->to,
                            'speaker' => mb_substr($c->speaker, 0, 160),
                            'said' => $c->text,
                        ],
                        $chunk,
                        array_keys($chunk),
                    ),
                );
            }
            $recording->update([
                'has_transcript' => true,
                'milliseconds' => max(
                    (int) $recording->milliseconds,
                    $parts === [] ? 0 : $parts[count($parts) - 1][1],
                ),
            ]);
            $isReleased = DB::table('recording_segments')
                ->where('recording_id', $recording->id)
                ->whereNotNull('released_at')
                ->exists();
            if (! $isReleased) {
                $this->parts($recording, $parts);
            }

            return $parts;
        });
    }

    /** @param  list<array{int, int}>  $parts */
    public function parts(Recording $recording, array $parts): void
    {
        DB::table('recording_segments')->where('recording_id', $recording->id)->delete();
        DB::table('recording_segments')->insert(
            array_map(
                fn (array $p, int $n): array => [
                    'recording_id' => $recording->id,
                    'n' => $n + 1,
                    'from_ms' => $p[0],
                    'to_ms' => $p[1],
                ],
                $parts,
                array_keys($parts),
            ),
        );
    }

    /** The recording of a session that a transcript is of; made where it was recorded elsewhere. */
    public function recordingOf(Session $session): Recording
    {
        return Recording::query()->where('session_id', $session->id)->orderByDesc('id')->first() ??
            Recording::query()->create([
                'session_id' => $session->id,
                'state' => RecordingState::Ready,
                'started_at' => $session->starts_at,
                'stopped_at' => $session->ends_at,
                'ready_at' => $this->clock->now(),
            ]);
    }
}
