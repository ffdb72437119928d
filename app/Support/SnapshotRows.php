<?php

declare(strict_types=1);

namespace Nomada\App\Support;

use Illuminate\Contracts\Database\Eloquent\CastsAttributes;
use Illuminate\Database\Eloquent\Model;
use LogicException;

/**
 * Rows by table, kept as JSON in a history and read in today's shape. `SnapshotRows::class.':log'` is for the log of an
 * import, which keeps rows as they were and as they are beside ids.
 *
 * @implements CastsAttributes<array<string, mixed>, array<string, mixed>>
 */
final readonly class SnapshotRows implements CastsAttributes
{
    public function __construct(private string $form = 'rows')
    {
    }

    /**
     * @param  array<string, mixed>  $attributes
     * @return array<string, mixed>|null
     */
    public function get(Model $model, string $key, mixed $value, array $attributes): ?array
    {
        if (! is_string($value)) {
            return null;
        }
        if ($model->exists && ! isset($attributes['shape'])) {
            throw new LogicException("Read the column shape beside $key");
        }
        $shape = (int) ($attributes['shape'] ?? SnapshotShape::CURRENT);
        $tables = (array) json_decode($value, true, flags: JSON_THROW_ON_ERROR);
        foreach ($tables as $table => $rows) {
            $tables[$table] =
                $this->form === 'log'
                    ? [
                        'changed' => self::rows($table, $rows['changed'] ?? [], $shape),
                        'now' => self::rows($table, $rows['now'] ?? [], $shape),
                    ] + $rows
                    : self::rows($table, $rows, $shape);
        }

        return $tables;
    }

    /** @param  array<string, mixed>  $attributes */
    public function set(Model $model, string $key, mixed $value, array $attributes): ?string
    {
        return $value === null ? null : json_encode($value, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE);
    }

    /**
     * @param  list<array<string, mixed>>  $rows
     * @return list<array<string, mixed>>
     */
    private static function rows(string $table, array $rows, int $shape): array
    {
        return array_map(fn (array $row): array => SnapshotShape::upgrade($table, $row, $shape), $rows);
    }
}
