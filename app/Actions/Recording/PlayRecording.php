<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Recording;

use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\Facades\Storage;
use Nomada\App\Models\Presence\Recording;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Timetable\Session;
use Nomada\App\Queries\Belongings;
use Nomada\App\Support\Clock;
use Nomada\App\Support\Secrets;
use Nomada\Core\Fault;
use Nomada\Core\Interchange\WebVtt;
use Nomada\Core\Recording\Cue;
use Nomada\Core\Recording\WavFile;
use Nomada\Core\Term\LocalDate;
use stdClass;

/**
 * Who may see what of a recording, and its sound and words for them. Anybody who hosts the session sees all of it; a
 * student the parts that are released to everybody or to them, by core's rule of belonging.
 */
final readonly class PlayRecording
{
    public function __construct(private Clock $clock)
    {
    }

    /**
     * The parts that somebody may see.
     *
     * @return list<array{int, int, int}> number, from, to in milliseconds; 404 if there is none
     */
    public function parts(Recording $recording, Person $for): array
    {
        abort_unless($recording->state->isWhole(), 404);
        $all = DB::table('recording_segments')->where('recording_id', $recording->id)->orderBy('n')->get();
        if (! $this->serves($recording, $for)) {
            $own = DB::table('recording_readers')
                ->where(['recording_id' => $recording->id, 'person_id' => $for->id])
                ->pluck('n', 'n');
            abort_unless($this->mayWatch($recording->session, $for, $own->isNotEmpty()), 404);
            $all = $all->filter(
                fn (stdClass $p): bool => $p->released_at !== null && ($p->to_all || isset($own[$p->n])),
            );
        }
        abort_if($all->isEmpty(), 404);

        return array_values(
            $all->map(fn (stdClass $p): array => [(int) $p->n, (int) $p->from_ms, (int) $p->to_ms])->all(),
        );
    }

    private function mayWatch(Session $session, Person $for, bool $isNamed): bool
    {
        return Belongings::of($for->id, array_values($session->series->sectionIds()))->mayWatch(
            LocalDate::parse($session->day)->day,
            $this->clock->schoolDay()->day,
            $session->chosen,
            $isNamed,
        );
    }

    /**
     * The recordings of a section of which somebody may see something, where they do not teach it.
     *
     * @param  list<int>  $series
     * @return list<int> ids
     */
    public function watched(array $series, Person $for): array
    {
        $named = DB::table('recording_readers')
            ->where('person_id', $for->id)
            ->distinct()
            ->pluck('recording_id')
            ->flip();

        return array_values(
            Recording::query()
                ->whereHas('session', fn ($q) => $q->whereIntegerInRaw('series_id', $series))
                ->with('session.series')
                ->get()
                ->filter(fn (Recording $r): bool => $this->mayWatch($r->session, $for, isset($named[$r->id])))
                ->modelKeys(),
        );
    }

    public function serves(Recording $recording, Person $for): bool
    {
        return Gate::forUser($for)->allows('look', $recording->session);
    }

    /**
     * Whether a word is to be typed first.
     *
     * @param  string|null  $opened  what open() gave when they typed it, as their session has kept it
     */
    public function asksWord(Recording $recording, ?string $opened, Person $for): bool
    {
        return $recording->transcript_hash !== null &&
            ! $this->serves($recording, $for) &&
            $opened !== $recording->transcript_hash;
    }

    /**
     * What opens it from now on, for as long as the word stays the same.
     *
     * @throws Fault where it is another word
     */
    public function open(Recording $recording, string $word, Person $for): ?string
    {
        $this->parts($recording, $for);
        if (
            $recording->transcript_hash !== null &&
            ! hash_equals($recording->transcript_hash, Secrets::sum(mb_strtolower(trim($word)), 'recording'))
        ) {
            throw new Fault('recordings.word.fault', 'word');
        }

        return $recording->transcript_hash;
    }

    public function sound(Recording $recording, int $part, ?string $opened, Person $for): SoundPart
    {
        [$from, $to] = $this->part($recording, $part, $opened, $for);
        $disk = Storage::disk(FollowRecordings::DISK);
        abort_if($recording->file === null || ! $disk->exists($recording->file), 404);
        $stream = $disk->readStream($recording->file) ?? abort(404);
        $size = $disk->size($recording->file);
        $wav = WavFile::read((string) fread($stream, 1024), $size);
        // What cannot be cut is handed out as a whole, and only where all of it may be seen.
        [$head, $at, $length] = $wav === null ? ['', 0, $size] : $wav->part($from, $to);
        abort_if($wav === null && count($this->parts($recording, $for)) < self::all($recording), 404);

        return new SoundPart($stream, $head, $at, $length, $recording->type);
    }

    /** The transcript of one part, as WebVTT. */
    public function transcript(Recording $recording, int $part, ?string $opened, Person $for): string
    {
        [$from, $to] = $this->part($recording, $part, $opened, $for);

        return WebVtt::write($this->cues($recording, $from, $to), $from, $to);
    }

    /** @return list<Cue> */
    public function cues(Recording $recording, int $from, int $to): array
    {
        return array_values(
            DB::table('recording_cues')
                ->where('recording_id', $recording->id)
                ->where('to_ms', '>', $from)
                ->where('from_ms', '<', $to)
                ->orderBy('n')
                ->get()
                ->map(fn (stdClass $c): Cue => new Cue((int) $c->from_ms, (int) $c->to_ms, $c->said, $c->speaker))
                ->all(),
        );
    }

    /** Where somebody has stopped listening. */
    public function keep(Recording $recording, Person $for, int $ms): void
    {
        $this->parts($recording, $for);
        DB::table('playback_positions')->upsert(
            [
                'recording_id' => $recording->id,
                'person_id' => $for->id,
                'ms' => max(0, min((int) $recording->milliseconds, $ms)),
            ],
            ['recording_id', 'person_id'],
        );
    }

    /** @return array{int, int} from and to, in milliseconds */
    private function part(Recording $recording, int $part, ?string $opened, Person $for): array
    {
        abort_if($this->asksWord($recording, $opened, $for), 403);
        foreach ($this->parts($recording, $for) as [$n, $from, $to]) {
            if ($n === $part) {
                return [$from, $to];
            }
        }
        abort(404);
    }

    private static function all(Recording $recording): int
    {
        return DB::table('recording_segments')->where('recording_id', $recording->id)->count();
    }
}
