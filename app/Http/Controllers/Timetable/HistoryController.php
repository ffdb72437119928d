<?php

declare(strict_types=1);

namespace Nomada\App\Http\Controllers\Timetable;

use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Nomada\App\Actions\Publishing\TellChanges;
use Nomada\App\Actions\Timetable\UndoChange;
use Nomada\App\Http\Controllers\Controller;
use Nomada\App\Models\Term\Section;
use Nomada\App\Models\Timetable\Series;
use Nomada\App\Post\Letters;
use Nomada\Core\Fault;

final class HistoryController extends Controller
{
    public function undo(Request $request, Section $section, int $change, UndoChange $undo): RedirectResponse
    {
        $found = $section->change($change);
        $this->authorize('undo', $found);
        $undo($found, $this->person($request));

        return redirect()
            ->route('section', $section)
            ->with('said', (string) __('said.history.undone', ['what' => $found->line()]));
    }

    /** Writes to everybody of the series what changed. */
    public function tell(Section $section, int $change, Letters $letters, TellChanges $told): RedirectResponse
    {
        $found = $section->change($change);
        $series = Series::find($found->series_id);
        if ($series === null && ! isset($found->before['registrations'])) {
            throw new Fault('said.history.series_gone_tell', 'change');
        }
        // Once published, all that was not told yet goes together, and is not told again when it is published.
        $n =
            $series === null
                ? $letters->cancelled($found)
                : $told->now($section->id) ?? $letters->changed($series, $found);

        return redirect()
            ->route('section', $section)
            ->with(
                'said',
                $n === 0
                    ? (string) __('said.history.everybody_has_been')
                    : trans_choice('said.history.letters', $n),
            );
    }
}
