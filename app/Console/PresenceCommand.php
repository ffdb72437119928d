<?php

declare(strict_types=1);

namespace Nomada\App\Console;

use Nomada\App\Actions\Presence\ReadList;
use Nomada\App\Actions\Presence\ReadPresence;
use Nomada\App\Destinations\DestinationFailure;
use Nomada\App\Models\Term\Section;
use Nomada\App\Models\Timetable\Session;
use Nomada\App\Support\Clock;
use Nomada\App\Support\FaultWords;
use Nomada\App\Support\SheetText;
use Nomada\Core\Fault;
use Nomada\Core\Interchange\ImportFault;
use Nomada\Core\Interchange\PresenceList;
use Nomada\Core\Term\LocalDate;
use Nomada\Core\Timetable\SessionState;

final class PresenceCommand extends Sections
{
    use SaysFaults;

    protected $signature = 'nomada:presence
        {file? : a list of who came and left, CSV or XLSX; without it the bridge is asked}
        {--section=* : sourcedId}
        {--day= : the day of the session, as 2027-02-09}
        {--guests : whoever is nobody of the section counts as a guest}
        {--json}';

    protected $description = 'Import attendance events from the conference service or a file';

    /** Seconds after its end for which a session is asked for. */
    private const UNTIL = 7200;

    public function handle(ReadList $lists, ReadPresence $read, Clock $clock): int
    {
        return $this->argument('file') === null ? $this->fromBridge($read, $clock) : $this->fromList($lists);
    }

    /** Of the day's sessions: those that run, or have ended and were not read since. */
    private function fromBridge(ReadPresence $read, Clock $clock): int
    {
        $sections = $this->sections();
        if ($sections === null) {
            return self::FAILURE;
        }
        $now = $clock->seconds();
        $day = is_string($this->option('day')) ? $this->option('day') : null;
        $new = $failed = 0;
        Session::query()
            ->where('state', SessionState::Planned)
            ->where('starts_at', '<=', gmdate('Y-m-d H:i:sP', $now + 900))
            ->when(
                $day === null,
                fn ($q) => $q->where('ends_at', '>', gmdate('Y-m-d H:i:sP', $now - self::UNTIL)),
                fn ($q) => $q->where('day', $day),
            )
            ->when(
                $this->option('section') !== [],
                fn ($q) => $q->whereIn(
                    'series_id',
                    fn ($s) => $s
                        ->select('series_id')
                        ->from('series_sections')
                        ->whereIn('section_id', $sections->modelKeys()),
                ),
            )
            ->with(['series.section.term.school', 'series.section.term.closures', 'series.hostAccount.plan'])
            ->orderBy('id')
            ->each(function (Session $session) use ($read, &$new, &$failed): void {
                try {
                    $new += $read($session);
                } catch (DestinationFailure $e) {
                    $failed++;
                    $this->components->warn($e->getMessage());
                }
            });
        $this->option('json')
            ? $this->asJson(['new' => $new, 'failed' => $failed])
            : $this->line(trans_choice('console.presence.new', $new));

        return $failed === 0 ? self::SUCCESS : self::FAILURE;
    }

    private function fromList(ReadList $lists): int
    {
        $ids = array_values(array_filter((array) $this->option('section'), is_string(...)));
        $section =
            count($ids) === 1 ? Section::query()->with('term.school')->where('sourced_id', $ids[0])->first() : null;
        if ($section === null) {
            return $this->fails([], (string) __('console.one_section'));
        }
        $path = (string) $this->argument('file');
        if (! is_file($path)) {
            return $this->fails([], (string) __('console.no_file', ['path' => $path]));
        }
        try {
            $day = LocalDate::parse((string) $this->option('day'));
            $text = SheetText::of((string) file_get_contents($path));
            $look = $lists->look(
                $section,
                $day,
                basename($path),
                $text,
                PresenceList::known(PresenceList::heads($text)),
                $section->term->school->zone(),
            );
            $faults = $look->graves();
            if (! $this->option('guests')) {
                foreach ($look->open as $who => [$line]) {
                    $faults[] = new ImportFault(basename($path), $line, 'person', 'list.guest', (string) $who);
                }
            }
            if ($faults !== []) {
                return $this->fails($faults, null);
            }
            $new = $lists->take(
                $look,
                array_fill_keys(array_map(strval(...), array_keys($look->open)), ''),
                $section,
                null,
            );
        } catch (Fault $e) {
            return $this->fails([], FaultWords::of($e));
        }
        $this->option('json')
            ? $this->asJson([
                'events' => count($look->rows),
                'new' => $new,
                'people' => count($look->certain),
                'guests' => count($look->open),
            ])
            : $this->line((string) __('console.presence.of', ['new' => $new, 'people' => count($look->certain)]));

        return self::SUCCESS;
    }
}
