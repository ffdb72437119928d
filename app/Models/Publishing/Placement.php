<?php

declare(strict_types=1);

namespace Nomada\App\Models\Publishing;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Carbon;
use Nomada\App\Models\Term\Section;
use Nomada\App\Support\SealedWords;
use Nomada\Core\Publishing\Place;
use Nomada\Core\Publishing\Verb;

/**
 * One thing of ours at one destination: what should be there beside what is there.
 *
 * @property int $id
 * @property int $section_id
 * @property Place $place
 * @property string $key
 * @property string $label
 * @property string|null $person
 * @property string|null $desired_hash
 * @property string|null $published_hash
 * @property array<string, string|list<string>>|null $standing
 * @property string|null $remote
 * @property string|null $etag
 * @property string|null $schedule_tag  the version but for answers, where the place invites
 * @property string|null $trouble
 * @property Carbon|null $published_at
 * @property bool $left_alone what somebody else put there is kept; no run touches it
 * @property Section $section
 */
final class Placement extends Model
{
    /** What a publish run has something to do with; every question about it asks this. */
    public const DIFFERS = '(not left_alone and desired_hash is distinct from published_hash)';

    /** Of that, what no place has yet; an index of its own answers it, as it is nearly all before the first run. */
    public const IS_NEW = '(not left_alone and desired_hash is not null and published_hash is null)';

    public const STANDS_OTHERWISE = self::DIFFERS.' and published_hash is not null';

    protected $table = 'published_items';

    protected $guarded = ['id'];

    /** @var array<string, string> */
    protected $casts = ['place' => Place::class, 'standing' => SealedWords::class, 'published_at' => 'datetime'];

    /** @return BelongsTo<Section, $this> */
    public function section(): BelongsTo
    {
        return $this->belongsTo(Section::class);
    }

    public function verb(): ?Verb
    {
        return Verb::between($this->desired_hash, $this->published_hash);
    }
}
