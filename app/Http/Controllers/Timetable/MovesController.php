<?php

declare(strict_types=1);

namespace Nomada\App\Http\Controllers\Timetable;

use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\View\View;
use Nomada\App\Actions\Timetable\MoveTogether;
use Nomada\App\Http\Controllers\Controller;
use Nomada\App\Http\Requests\MovesRequest;
use Nomada\App\Models\Term\Person;
use Nomada\App\View\Timetable\Moves\MoveLine;
use Nomada\App\View\Timetable\Moves\MovesPage;
use Nomada\App\View\Timetable\Moves\MovesPreview;
use Nomada\App\View\Timetable\Moves\MovesQuery;
use Nomada\Core\Fault;

/** Moves several sessions, or their series, in one step: two that change places, or more. */
final class MovesController extends Controller
{
    /**
     * The sessions to begin with, by their ids or as those of some series on a day; `swap` puts each of two at the time
     * of the other, `moves` each where it says, by id.
     */
    public function create(Request $request, MovesQuery $query): View
    {
        $given = fn (string $name): array => array_map(
            intval(...),
            array_filter((array) $request->query($name, []), is_numeric(...)),
        );
        $ids = $query->first($given('sessions'), $given('series'), (string) $request->query('date', ''));
        $to = self::proposed($request);
        $lines = $query->lines($this->term(), $ids, $to);
        if ($to !== []) {
            return $this->page($query, $lines, $this->person($request));
        }
        if ($request->boolean('swap') && count($lines) === 2) {
            $ids = array_map(fn (MoveLine $l): int => $l->session->id, $lines);
            $lines = $query->lines($this->term(), $ids, $query->exchanged($lines));

            return $this->page($query, $lines, $this->person($request));
        }

        return view('timetable.moves', ['page' => new MovesPage($lines, null)]);
    }

    /** @return array<int, array{day?: string, start?: string, end?: string, reach?: string}> by id of the session */
    private static function proposed(Request $request): array
    {
        $out = [];
        foreach ((array) $request->query('moves', []) as $id => $to) {
            $given = array_intersect_key((array) $to, array_flip(['day', 'start', 'end', 'reach']));
            $out[(int) $id] = array_map(strval(...), array_filter($given, is_scalar(...)));
        }

        return $out;
    }

    /** What the moves would do; or the form with one line more, or one fewer. */
    public function preview(MovesRequest $request, MovesQuery $query): View
    {
        $typed = $request->typed();
        $ids = array_keys($typed);
        $add = trim((string) $request->validated('add'));
        try {
            $ids = $add === '' ? $ids : [...$ids, $query->nextOf($this->term(), $add)];
            $fault = null;
        } catch (Fault $e) {
            $fault = $e;
        }
        $lines = $query->lines($this->term(), array_values(array_unique($ids)), $typed);

        return $this->page($query, $lines, $this->person($request), $fault, $add);
    }

    public function store(MovesRequest $request, MovesQuery $query, MoveTogether $move): RedirectResponse|Response
    {
        $typed = $request->typed();
        $lines = $query->lines($this->term(), array_keys($typed), $typed);
        try {
            $set = MovesRequest::set($lines, $this->term()->calendar());
            $move($this->term(), $set, $this->person($request));
        } catch (Fault $e) {
            // Not a redirect: what was typed stays in its fields, with the message beside its line.
            return response($this->page($query, $lines, $this->person($request), $e), 422);
        }

        return redirect()
            ->route('section', [$lines[0]->session->series->section, 'day' => $set->moves[0]->day->iso()])
            ->with('said', trans_choice('said.moves.moved', count($lines)));
    }

    /**
     * @param  list<MoveLine>  $lines
     * @param  Fault|null  $fault  what was refused already
     * @param  string  $add  what was typed to be added, where that was refused
     */
    private function page(
        MovesQuery $query,
        array $lines,
        Person $by,
        ?Fault $fault = null,
        string $add = '',
    ): View {
        $term = $this->term()->calendar();
        $preview = null;
        try {
            if ($fault === null && $lines !== []) {
                $preview = $query->preview($this->term(), MovesRequest::set($lines, $term), $lines, $by);
            }
        } catch (Fault $e) {
            $fault = $e;
        }
        if ($fault !== null) {
            $preview = MovesPreview::refused($fault);
        }

        return view('timetable.moves', [
            'page' => new MovesPage($lines, $preview, $fault === null ? '' : $add),
        ]);
    }
}
