<?php

declare(strict_types=1);

namespace Nomada\App\Models\Term;

use Illuminate\Database\Eloquent\Model;

/**
 * @property int $id
 * @property string $sourced_id
 * @property string $title
 * @property string $code
 */
final class Course extends Model
{
    protected $guarded = ['id'];
}
