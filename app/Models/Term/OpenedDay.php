<?php

declare(strict_types=1);

namespace Nomada\App\Models\Term;

use Illuminate\Database\Eloquent\Model;
use Nomada\App\Models\Concerns\FoundInTerm;

/**
 * A weekend day on which school is held.
 *
 * @property int $id
 * @property int $term_id
 * @property string $day
 */
final class OpenedDay extends Model
{
    use FoundInTerm;

    protected $table = 'opened_days';

    protected $guarded = ['id'];
}
