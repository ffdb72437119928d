<?php

declare(strict_types=1);

namespace Nomada\App\Console;

use Illuminate\Console\Command;
use Illuminate\Database\Eloquent\Collection;
use Nomada\App\Models\Term\Section;
use Nomada\App\Queries\CurrentTerm;

/** What the commands that work on sections share: the options --section and --json. */
abstract class Sections extends Command
{
    use HasTables;

    /**
     * The sections named by --section, or all of the current term; null, with a word on why, where one is unknown.
     *
     * @return Collection<int, Section>|null
     */
    protected function sections(): ?Collection
    {
        $ids = array_filter((array) $this->option('section'), is_string(...));
        if ($ids === []) {
            $term = app(CurrentTerm::class)->find();
            if ($term === null) {
                $this->components->error((string) __('console.no_term_import'));

                return null;
            }

            return Section::query()->where('term_id', $term->id)->orderBy('id')->get();
        }
        $found = Section::query()->whereIn('sourced_id', $ids)->orderBy('id')->get();
        foreach (array_diff($ids, $found->pluck('sourced_id')->all()) as $id) {
            $this->components->error((string) __('console.unknown_section', ['id' => $id]));
        }

        return $found->count() === count(array_unique($ids)) ? $found : null;
    }

    protected function asJson(mixed $value): void
    {
        $this->output->writeln(
            (string) json_encode($value, JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES),
        );
    }
}
