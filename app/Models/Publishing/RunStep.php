<?php

declare(strict_types=1);

namespace Nomada\App\Models\Publishing;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;
use Nomada\App\Models\Term\Section;

/**
 * @property int $id
 * @property string $run_id
 * @property int $section_id
 * @property string $lane a destination, or `link`
 * @property string $key
 * @property string $label
 * @property string $verb
 * @property StepState $state
 * @property int $tries
 * @property Carbon|null $due_at not to be tried before
 * @property string|null $words what the destination said when it failed
 * @property Run $run
 * @property Section $section
 */
final class RunStep extends Model
{
    public $timestamps = false;

    protected $guarded = ['id'];

    /** @var array<string, string> */
    protected $casts = ['due_at' => 'datetime', 'done_at' => 'datetime', 'state' => StepState::class];

    /** @return BelongsTo<Run, $this> */
    public function run(): BelongsTo
    {
        return $this->belongsTo(Run::class);
    }

    /** @return BelongsTo<Section, $this> */
    public function section(): BelongsTo
    {
        return $this->belongsTo(Section::class);
    }
}
