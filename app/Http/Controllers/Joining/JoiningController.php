<?php

declare(strict_types=1);

namespace Nomada\App\Http\Controllers\Joining;

use Illuminate\Database\Eloquent\Collection;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;
use Illuminate\View\View;
use Nomada\App\Actions\Joining\BulkAct;
use Nomada\App\Actions\Joining\KeepPresets;
use Nomada\App\Actions\Publishing\StartRun;
use Nomada\App\Http\Controllers\Controller;
use Nomada\App\Http\Requests\DoorRequest;
use Nomada\App\Models\Joining\ActResult;
use Nomada\App\Models\Timetable\Series;
use Nomada\App\Queries\HostAccounts;
use Nomada\App\Queries\Presets;
use Nomada\App\Support\SheetFile;
use Nomada\App\View\Joining\ActPage;
use Nomada\App\View\Joining\AuditQuery;
use Nomada\App\View\Joining\DoorForm;
use Nomada\App\View\Joining\JoiningPage;
use Nomada\App\View\Joining\SeriesList;
use Nomada\App\View\Joining\SeriesRow;
use Nomada\App\View\LaterRows;
use Nomada\Core\Joining\DoorRules;
use Nomada\Core\Joining\Floor;
use Nomada\Core\Joining\Preset;
use Symfony\Component\HttpFoundation\Response;

final class JoiningController extends Controller
{
    public function index(Request $request, SeriesList $list): View
    {
        return view('joining.joining', [
            'page' => $this->list($list->rows($this->term(), $this->person($request)), $request),
        ]);
    }

    /** Rows that have come into sight. */
    public function rows(Request $request, SeriesList $list): View
    {
        return view('rows', [
            'page' => $this->list(
                $list->rows($this->term(), $this->person($request), LaterRows::numbers($request)),
                $request,
            ),
            'row' => 'joining.joining.row',
        ]);
    }

    /** @param  list<SeriesRow>  $rows */
    private function list(array $rows, Request $request): JoiningPage
    {
        return new JoiningPage(
            $rows,
            (string) $request->query('show', ''),
            Presets::all(),
            HostAccounts::all(),
        );
    }

    /** What an act on many series will do, per series; with `sure` it is done, and what came of it is reported. */
    public function act(Request $request, BulkAct $bulk, StartRun $start): View|RedirectResponse
    {
        $given = $request->validate(
            [
                'series' => ['required', 'array', 'max:2000'],
                'series.*' => ['integer'],
                'act' => ['required', 'string'],
                'preset' => ['nullable', 'string', 'max:40'],
                'account' => ['nullable', 'integer', 'exists:host_accounts,id'],
                'sure' => ['nullable', 'boolean'],
            ],
            [
                'series.*' => (string) __('said.joining.choose_at_least'),
                'act.*' => (string) __('said.joining.choose_what_be'),
                'account.*' => (string) __('said.joining.choose_account_list'),
            ],
        );
        $value = (string) ($given['act'] === 'preset' ? $given['preset'] ?? '' : $given['account'] ?? '');
        $chosen = $this->chosen($given['series']);
        $isDone = (bool) ($given['sure'] ?? false);
        if ($isDone && $given['act'] === 'links') {
            $run = $start->links(
                array_values(array_map(intval(...), $chosen->pluck('section_id')->unique()->all())),
                $this->person($request),
                true,
                array_values(array_map(intval(...), $chosen->modelKeys())),
            );

            return $run === null
                ? redirect()->route('joining')->with('said', (string) __('said.joining.every_chosen_series'))
                : redirect()->route('run', $run);
        }

        if ($isDone) {
            return redirect()->route(
                'joining.result',
                $bulk->carryOut($given['act'], $value, $chosen, $this->person($request))->id,
            );
        }

        return view('joining.act', [
            'page' => new ActPage(
                in_array($given['act'], BulkAct::ACTS, true) ? self::titled($given['act']) : '',
                $bulk->plan($given['act'], $value, $chosen),
                $given['act'],
                (string) ($given['preset'] ?? ''),
                (string) ($given['account'] ?? ''),
                array_values(array_map(intval(...), $given['series'])),
            ),
        ]);
    }

    /** The words of its button, without the mark that more is asked. */
    private static function titled(string $act): string
    {
        return rtrim((string) __("joining.list.acts.$act"), '…');
    }

    /** What came of an act on many: anybody who did it, and the coordinator, may look at it again. */
    public function result(Request $request, int $result): View
    {
        $found = $this->found($request, $result);

        return view('joining.result', [
            'result' => $found,
            'title' => self::titled($found->act),
            'canUndo' => BulkAct::canUndo($found->act) && $found->undone_at === null,
        ]);
    }

    public function undoResult(Request $request, int $result, BulkAct $bulk): RedirectResponse
    {
        $found = $this->found($request, $result);
        if (! Gate::check('coordinate')) {
            $this->chosen(array_column($found->lines, 'id'));
        }
        [$n, $left] = $bulk->undo($found, $this->person($request));

        return redirect()->route('joining.result', $found->id)->with(
            'said',
            (string) __($left > 0 ? 'said.joining.taken_back_but' : 'said.joining.taken_back', [
                'n' => $n,
                'left' => $left,
            ]),
        );
    }

    private function found(Request $request, int $result): ActResult
    {
        $found = ActResult::findOrFail($result);
        abort_unless(Gate::check('coordinate') || $found->person_id === $this->person($request)->id, 404);

        return $found;
    }

    /**
     * Every series whose door or floor is more open than its preset, and every change of doors, links and
     * registrations.
     */
    public function audit(Request $request, AuditQuery $audit): View
    {
        return view('joining.audit', [
            'page' => $audit->page(
                $this->term(),
                (string) $request->query('kind', ''),
                (string) $request->query('q', ''),
                $request->integer('page', 1),
            ),
        ]);
    }

    public function export(Request $request, AuditQuery $page): Response
    {
        return (new SheetFile(
            'audit log',
            ['at', 'who', 'kind', 'series', 'what'],
            $page->table((string) $request->query('kind', ''), (string) $request->query('q', '')),
        ))->respond('csv');
    }

    public function presets(Request $request): View
    {
        $all = Presets::all();
        $change = (string) $request->query('change', '');

        $changed = isset(Preset::usual()[$change]) ? null : $all[$change] ?? null;

        return view('joining.presets', [
            'presets' => $all,
            'changed' => $changed,
            'form' => DoorForm::of($changed->door ?? new DoorRules(), $changed->floor ?? new Floor()),
        ]);
    }

    public function storePreset(DoorRequest $request, KeepPresets $keep): RedirectResponse
    {
        $keep(
            (string) $request->validated('preset_name'),
            $request->door(),
            $request->floor(),
            $this->person($request),
            (string) ($request->validated('changes') ?? ''),
        );

        return redirect()
            ->route('presets')
            ->with('said', (string) __('said.joining.preset_kept', ['what' => $request->validated('preset_name')]));
    }

    public function destroyPreset(Request $request, string $key, KeepPresets $keep): RedirectResponse
    {
        $keep->drop($key, $this->person($request));

        return redirect()->route('presets')->with('said', (string) __('said.joining.preset_taken_out'));
    }

    /**
     * @param  array<mixed>  $ids
     * @return Collection<int, Series>
     */
    private function chosen(array $ids): Collection
    {
        $series = Series::chosen($ids);
        abort_if($series->isEmpty(), 404);
        if (! Gate::check('coordinate')) {
            $series->each(fn (Series $s) => $this->authorize('serve', $s->section));
        }

        return $series;
    }
}
