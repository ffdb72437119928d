<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Recording;

use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use Nomada\App\Actions\Joining\Audit;
use Nomada\App\Actions\Publishing\RefreshPlacements;
use Nomada\App\Models\Presence\Recording;
use Nomada\App\Support\Clock;
use Nomada\Core\Language\Said;
use Nomada\Core\Recording\RecordingState;
use Nomada\Core\Term\LocalDate;

/**
 * Deletes what has been kept for as long as the school says: sound, transcript, parts. That it was there stays known.
 */
final readonly class DeleteRecordings
{
    public function __construct(private Clock $clock, private Audit $audit, private RefreshPlacements $refresh)
    {
    }

    public function __invoke(): int
    {
        $n = 0;
        $old = Recording::query()
            ->whereNull('deleted_at')
            ->where('keeps_until', '<', $this->clock->schoolDay()->iso())
            ->with('session.series.section')
            ->orderBy('id')
            ->get();
        foreach ($old as $recording) {
            DB::transaction(function () use ($recording): void {
                DB::table('recording_cues')->where('recording_id', $recording->id)->delete();
                DB::table('recording_segments')->where('recording_id', $recording->id)->delete();
                DB::table('recording_readers')->where('recording_id', $recording->id)->delete();
                $recording->update([
                    'deleted_at' => $this->clock->now(),
                    'state' => RecordingState::Withdrawn,
                    'has_transcript' => false,
                ]);
                $series = $recording->session?->series;
                ($this->audit)(
                    'recording',
                    $series,
                    null,
                    new Said('audit.recording_deleted', ['day' => LocalDate::parse((string) $recording->keeps_until)]),
                );
                ($this->refresh)($series?->sectionIds() ?? []);
            });
            // Behind the commit: what is still written down has its file, whatever happens in between.
            Storage::disk(FollowRecordings::DISK)->delete((string) $recording->file);
            $n++;
        }

        return $n;
    }
}
