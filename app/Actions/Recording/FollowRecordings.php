<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Recording;

use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Facades\Storage;
use Illuminate\Support\Str;
use Nomada\App\Actions\Joining\Doorway;
use Nomada\App\Destinations\ConferenceBridge;
use Nomada\App\Destinations\DestinationFailure;
use Nomada\App\Models\Presence\Recording;
use Nomada\App\Models\Timetable\Session;
use Nomada\App\Support\Clock;
use Nomada\Core\Interchange\WebVtt;
use Nomada\Core\Recording\Parts;
use Nomada\Core\Recording\RecordingState;
use Nomada\Core\Recording\WavFile;
use RuntimeException;

/**
 * Asks the bridge where the recordings of a session are, and fetches each once it is ready: sound and transcript are
 * kept before it counts as ready, so that anybody who dies in between begins again.
 */
final readonly class FollowRecordings
{
    /** Of the framework's disks; where it lies is a setting. */
    public const DISK = 'recordings';

    /** Bytes of a recording, at most. */
    private const MOST = 4_294_967_296;

    public function __construct(
        private ConferenceBridge $bridge,
        private Clock $clock,
        private KeepTranscript $keep,
        private ReleaseRecording $release,
    ) {
    }

    /**
     * @return int how many became ready
     *
     * @throws DestinationFailure
     */
    public function __invoke(Session $session): int
    {
        $core = $session->toCore();
        $way = Doorway::ofSeries($session->series, $core);
        if ($way->room === '') {
            return 0;
        }
        $n = 0;
        foreach ($this->bridge->recordings($way->room, Doorway::meeting($core->start)) as $told) {
            $recording = Recording::query()->firstOrCreate(
                ['bridge_id' => $told['id']],
                [
                    'session_id' => $session->id,
                    'state' => RecordingState::Recording,
                    'started_at' => gmdate('Y-m-d H:i:sP', $told['started']),
                ],
            );
            if ($recording->state->isWhole() || $recording->state === RecordingState::Failed) {
                continue;
            }
            $state = RecordingState::tryFrom($told['state']) ?? RecordingState::Failed;
            $stopped = $told['stopped'] === null ? null : gmdate('Y-m-d H:i:sP', $told['stopped']);
            if ($state === RecordingState::Ready) {
                $this->take($recording, $way->room, (string) $stopped);
                $n++;
            } else {
                $recording->update(['state' => $state, 'stopped_at' => $stopped]);
            }
        }

        return $n;
    }

    /** @throws DestinationFailure */
    private function take(Recording $recording, string $room, string $stopped): void
    {
        $part = storage_path("app/fetching/$recording->id.part");
        File::ensureDirectoryExists(dirname($part));
        $lock = fopen($part, 'c') ?: throw new RuntimeException("$part cannot be written");
        if (! flock($lock, LOCK_EX | LOCK_NB)) {
            // Another process is at it; a long one takes more than a minute.
            return;
        }
        try {
            $type = $this->bridge->fetch($room, (string) $recording->bridge_id, $part, self::MOST);
            $words = $this->bridge->transcript($room, (string) $recording->bridge_id);
            $this->keepFile($recording, $part, $type, new WebVtt('transcript.vtt', $words), $stopped);
            File::delete($part);
        } catch (DestinationFailure $e) {
            $recording->update(['trouble' => mb_strimwidth($e->getMessage(), 0, 300, '…')]);

            throw $e;
        } finally {
            fclose($lock);
        }
    }

    private function keepFile(
        Recording $recording,
        string $part,
        string $type,
        WebVtt $transcript,
        string $stopped,
    ): void {
        // A try that found everything there already was told no type.
        $type = $type === '' ? (string) mime_content_type($part) : $type;
        $file = "$recording->id-".Str::random(12).(str_contains($type, 'wav') ? '.wav' : '');
        $size = (int) filesize($part);
        $stream = fopen($part, 'rb') ?: throw new RuntimeException("$part cannot be read");
        $wav = WavFile::read((string) fread($stream, 1024), $size);
        rewind($stream);
        Storage::disk(self::DISK)->writeStream($file, $stream);
        fclose($stream);
        DB::transaction(function () use ($recording, $file, $type, $wav, $transcript, $stopped): void {
            $fresh = Recording::query()->lock('for update')->findOrFail($recording->id);
            if ($fresh->state->isWhole()) {
                Storage::disk(self::DISK)->delete($file);

                return;
            }
            $fresh->update([
                'state' => RecordingState::Ready,
                'stopped_at' => $stopped,
                'ready_at' => $this->clock->now(),
                'milliseconds' => $wav?->milliseconds() ??
                    1000 * max(0, (int) strtotime($stopped) - (int) $fresh->started_at->timestamp),
                'file' => $file,
                'type' => mb_substr($type, 0, 60),
                'trouble' => null,
                'keeps_until' => gmdate(
                    'Y-m-d',
                    $this->clock->seconds() +
                        86400 * (int) DB::table('schools')->orderBy('id')->value('recordings_days'),
                ),
            ]);
            if ($transcript->faults === []) {
                ($this->keep)($fresh, $transcript);
            } else {
                $this->keep->parts($fresh, Parts::of([], (int) $fresh->milliseconds));
            }
            $this->release->byItself($fresh);
        });
    }
}
