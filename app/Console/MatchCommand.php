<?php

declare(strict_types=1);

namespace Nomada\App\Console;

use Illuminate\Console\Command;
use Nomada\App\Actions\Registration\RegistrationChecks;
use Nomada\App\Models\Registration\Registration;
use Nomada\App\Models\Term\Person;
use Nomada\App\Models\Term\Section;
use Nomada\App\Support\Say;
use Nomada\Core\Registration\RegistrationState;

final class MatchCommand extends Command
{
    use HasTables;

    protected $signature = 'nomada:match {--section= : sourcedId of one section; all by default} {--json}';

    protected $description = 'Match pending registrations with the roster';

    public function handle(RegistrationChecks $checks): int
    {
        $section =
            $this->option('section') === null
                ? null
                : Section::query()->where('sourced_id', $this->option('section'))->first();
        if ($this->option('section') !== null && $section === null) {
            $this->components->error((string) __('console.no_section'));

            return self::FAILURE;
        }
        $queue = Registration::query()
            ->where('state', RegistrationState::Waiting)
            ->when(
                $section !== null,
                fn ($q) => $q->whereHas('series', fn ($s) => $s->where('section_id', $section?->id)),
            )
            ->with(['series.section', 'person'])
            ->orderBy('arrived_at')
            ->orderBy('id')
            ->get();
        $findings = $checks->findings($queue);
        $people = Person::query()
            ->whereKey(array_map(fn ($f): int => $f->entry->person ?? 0, $findings))
            ->get()
            ->keyBy('id');
        $out = array_values(
            $queue
                ->map(function (Registration $r) use ($findings, $people): array {
                    $f = $findings[$r->id];

                    return [
                        'section' => $r->series->section->sourced_id,
                        'name' => (string) $r->typed_name,
                        'address' => (string) $r->typed_email,
                        'account' => $r->person->sourced_id,
                        'day' => $r->only_day,
                        'verdict' => $f->verdict->value,
                        'why' => Say::this($f->why()),
                        'roster' => $f->entry === null
                                ? null
                                : [
                                    'person' => (string) $people[$f->entry->person]?->sourced_id,
                                    'name' => $f->entry->name->typed,
                                    'address' => $f->entry->address,
                                    'section' => $f->entry->section === $r->series->section_id
                                            ? $r->series->section->sourced_id
                                            : (string) Section::query()
                                                ->whereKey($f->entry->section)
                                                ->value('sourced_id'),
                                ],
                    ];
                })
                ->all(),
        );
        $this->option('json')
            ? $this->output->writeln((string) json_encode($out, JSON_UNESCAPED_UNICODE))
            : $this->drawTable(
                ['section', 'registrant', 'address', 'verdict', 'roster'],
                array_map(
                    fn (array $o): array => [
                        $o['section'],
                        $o['name'],
                        $o['address'],
                        $o['verdict'],
                        $o['roster']['name'] ?? '–',
                    ],
                    $out,
                ),
            );

        return self::SUCCESS;
    }
}
