<?php

declare(strict_types=1);

namespace Nomada\App\Models\Term;

use Illuminate\Database\Eloquent\Model;
use Nomada\App\Models\Concerns\FoundBySourcedId;

/**
 * @property int $id
 * @property string $sourced_id
 * @property string $title
 * @property string $code
 */
final class Course extends Model
{
    use FoundBySourcedId;

    protected $guarded = ['id'];
}
