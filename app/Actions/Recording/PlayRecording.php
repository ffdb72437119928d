<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Recording;

use Illuminate\Http\Request;
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
use Symfony\Component\HttpFoundation\Response;

/**
 * Who may see what of a recording, and its sound and words for them. Whoever hosts the session sees all of it; a
 * student the parts that are released to everybody or to them, by core's rule of belonging.
 */
final readonly class PlayRecording
{
    public function __construct(private Clock $clock)
    {
    }

    /** Bytes that are read at a time. */
    private const CHUNK = 65536;

    /**
     * The parts that somebody may see.
     *
     * @return list<array{int, int, int}> number, from, to in milliseconds; 404 where there is none
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

    /** Whether a word is to be typed first, and was not in this session of theirs. */
    public function asksWord(Recording $recording, Request $request, Person $for): bool
    {
        return $recording->transcript_hash !== null &&
            ! $this->serves($recording, $for) &&
            $request->session()->get(self::key($recording)) !== $recording->transcript_hash;
    }

    /** @throws Fault where it is another word */
    public function open(Recording $recording, Request $request, string $word, Person $for): void
    {
        $this->parts($recording, $for);
        if (
            $recording->transcript_hash !== null &&
            ! hash_equals($recording->transcript_hash, Secrets::sum(mb_strtolower(trim($word)), 'recording'))
        ) {
            throw new Fault('recordings.word.fault', 'word');
        }
        $request->session()->put(self::key($recording), $recording->transcript_hash);
    }

    public function sound(Recording $recording, int $part, Request $request, Person $for): Response
    {
        [$from, $to] = $this->part($recording, $part, $request, $for);
        $disk = Storage::disk(FollowRecordings::DISK);
        abort_if($recording->file === null || ! $disk->exists($recording->file), 404);
        $stream = $disk->readStream($recording->file) ?? abort(404);
        $size = $disk->size($recording->file);
        $head = (string) fread($stream, 1024);
        $wav = WavFile::read($head, $size);
        // What cannot be cut is handed out as a whole, and only where all of it may be seen.
        [$before, $at, $length] = $wav === null ? ['', 0, $size] : $wav->part($from, $to);
        abort_if($wav === null && count($this->parts($recording, $for)) < self::all($recording), 404);

        return $this->range($request, $stream, $before, $at, $length, $recording->type);
    }

    public function transcript(Recording $recording, int $part, Request $request, Person $for): Response
    {
        [$from, $to] = $this->part($recording, $part, $request, $for);

        return new Response(WebVtt::write($this->cues($recording, $from, $to), $from, $to), 200, [
            'Content-Type' => 'text/vtt; charset=utf-8',
        ]);
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

    /** @return array{int, int} from and to; the address is one person's, and so is what it leads to */
    private function part(Recording $recording, int $part, Request $request, Person $for): array
    {
        abort_unless($request->hasValidSignature() && $request->integer('for') === $for->id, 403);
        abort_if($this->asksWord($recording, $request, $for), 403);
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

    private static function key(Recording $recording): string
    {
        return "recording word $recording->id";
    }

    /**
     * Some bytes of a head and a file behind it, as asked for (RFC 9110, Range).
     *
     * @param  resource  $stream
     */
    private function range(Request $request, $stream, string $head, int $at, int $length, string $type): Response
    {
        $whole = strlen($head) + $length;
        [$from, $to, $status] = [0, $whole - 1, 200];
        if (
            preg_match('/^bytes=(\d*)-(\d*)$/', (string) $request->header('Range'), $m) === 1 &&
            $m[0] !== 'bytes=-'
        ) {
            $from = $m[1] === '' ? max(0, $whole - (int) $m[2]) : (int) $m[1];
            $to = $m[1] === '' || $m[2] === '' ? $whole - 1 : min($whole - 1, (int) $m[2]);
            if ($from > $to) {
                return new Response('', 416, ['Content-Range' => "bytes */$whole"]);
            }
            $status = 206;
        }
        $send = function () use ($stream, $head, $at, $from, $to): void {
            $left = $to - $from + 1;
            if ($from < strlen($head)) {
                $some = substr($head, $from, $left);
                echo $some;
                $left -= strlen($some);
                $from += strlen($some);
            }
            fseek($stream, $at + $from - strlen($head));
            while ($left > 0 && ! feof($stream)) {
                $some = (string) fread($stream, max(1, min(self::CHUNK, $left)));
                echo $some;
                $left -= strlen($some);
            }
            fclose($stream);
        };

        return response()->stream($send, $status, [
            'Content-Type' => $type === '' ? 'application/octet-stream' : $type,
            'Content-Length' => (string) ($to - $from + 1),
            'Accept-Ranges' => 'bytes',
            ...$status === 206 ? ['Content-Range' => "bytes $from-$to/$whole"] : [],
        ]);
    }
}
