<?php

declare(strict_types=1);

namespace Nomada\App\Http\Controllers\Timetable;

use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Nomada\App\Actions\Timetable\PasteTopics;
use Nomada\App\Actions\Timetable\ShareSeries;
use Nomada\App\Http\Controllers\Controller;
use Nomada\App\Models\Term\Section;
use Nomada\App\Models\Timetable\Series;
use Nomada\App\Support\Words;

/** What a series carries beside its pattern: the sections that share it, and its topics. */
final class SharingController extends Controller
{
    public function store(Request $request, Section $section, Series $series, ShareSeries $share): RedirectResponse
    {
        $given = $request->validate(
            ['share' => ['required', 'string', 'exists:sections,sourced_id']],
            ['share.*' => 'Choose the section that shares it.'],
        );
        $other = Section::query()->where('sourced_id', $given['share'])->firstOrFail();
        $share($series->load('section'), $other, $this->person($request));

        return redirect()
            ->route('section', $section)
            ->with('said', "{$other->name()} meets in {$series->title} too.");
    }

    public function destroy(
        Request $request,
        Section $section,
        Series $series,
        Section $other,
        ShareSeries $share,
    ): RedirectResponse {
        $share->leave($series->load('section'), $other, $this->person($request));

        return redirect()
            ->route('section', $other->id === $section->id ? $series->section : $section)
            ->with('said', "{$other->name()} no longer meets in {$series->title}.");
    }

    public function topics(Request $request, Section $section, Series $series, PasteTopics $paste): RedirectResponse
    {
        $given = $request->validate(
            [
                'topics' => ['nullable', 'string', 'max:40000'],
                'topics_move' => ['nullable', 'boolean'],
                'from_first' => ['nullable', 'boolean'],
            ],
            ['topics.max' => 'That is too long a list.'],
        );
        $left = $paste(
            $series->load('section'),
            (string) ($given['topics'] ?? ''),
            (bool) ($given['topics_move'] ?? false),
            (bool) ($given['from_first'] ?? false),
            $this->person($request),
        );

        return redirect()
            ->route('section', $section)
            ->with(
                'said',
                'The topics are laid over the sessions.'.
                    ($left > 0 ? ' '.Words::count($left, 'topic').' found no session.' : ''),
            );
    }
}
