<?php

declare(strict_types=1);

namespace Nomada\App\Models\Presence;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Timetable\Session;
use Nomada\Core\Recording\RecordingState;

/**
 * What was recorded of a session: its sound in the framework's disk `recordings`, its transcript and parts in tables.
 *
 * @property int $id
 * @property int $session_id
 * @property RecordingState $state
 * @property string|null $bridge_id
 * @property Carbon $started_at
 * @property Carbon|null $stopped_at
 * @property Carbon|null $ready_at
 * @property string|null $trouble
 * @property int|null $milliseconds
 * @property string|null $file
 * @property string $type
 * @property bool $has_transcript
 * @property string|null $transcript_hash
 * @property string|null $keeps_until
 * @property Carbon|null $deleted_at
 * @property Session $session
 */
final class Recording extends Model
{
    public $timestamps = false;

    protected $guarded = ['id'];

    protected $hidden = ['transcript_hash'];

    /** @var array<string, string> */
    protected $casts = [
        'state' => RecordingState::class,
        'started_at' => 'datetime',
        'stopped_at' => 'datetime',
        'ready_at' => 'datetime',
        'deleted_at' => 'datetime',
        'has_transcript' => 'boolean',
    ];

    /** @return BelongsTo<Session, $this> */
    public function session(): BelongsTo
    {
        return $this->belongsTo(Session::class);
    }

    /** Whether any part of it is released to everybody, or to this student. */
    public function isReleasedTo(Person $student): bool
    {
        $own = DB::table('recording_readers')
            ->where(['recording_id' => $this->id, 'person_id' => $student->id])
            ->select('n');

        return $this->state === RecordingState::Released &&
            DB::table('recording_segments')
                ->where('recording_id', $this->id)
                ->whereNotNull('released_at')
                ->where(fn ($q) => $q->where('to_all', true)->orWhereIn('n', $own))
                ->exists();
    }

    /** One that has not been erased and whose session is still there: an import may have taken that out. */
    public static function kept(int $id): self
    {
        return self::query()
            ->whereNull('deleted_at')
            ->whereHas('session')
            ->with(['session.series.section.term.school', 'session.series.section.term.closures'])
            ->findOrFail($id);
    }
}
