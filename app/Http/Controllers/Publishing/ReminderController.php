<?php

declare(strict_types=1);

namespace Nomada\App\Http\Controllers\Publishing;

use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;
use Nomada\App\Actions\Registration\ChooseReminder;
use Nomada\App\Http\Controllers\Controller;
use Nomada\App\Models\Term\Section;
use Nomada\Core\Post\Reminder;

final class ReminderController extends Controller
{
    /** How a section's students are reminded, where they have not chosen otherwise. */
    public function section(Request $request, Section $section, ChooseReminder $choose): RedirectResponse
    {
        $this->authorize('serve', $section);
        $given = $request->validate(
            ['remind' => ['required', Rule::in(array_column(Reminder::ofSections(), 'value'))]],
            ['remind.*' => __('remind.fault')],
        );
        $choose->section($section, Reminder::from($given['remind']));

        return back()->with('said', __('remind.kept'));
    }

    /** One's own choice; none for as each section says. */
    public function own(Request $request, ChooseReminder $choose): RedirectResponse
    {
        $given = $request->validate(
            ['remind' => ['nullable', Rule::enum(Reminder::class)]],
            ['remind.*' => __('remind.fault')],
        );
        $choose->person($this->person($request), Reminder::tryFrom($given['remind'] ?? ''));

        return back()->with('said', __('remind.kept'));
    }
}
