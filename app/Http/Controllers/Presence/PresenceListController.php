<?php

declare(strict_types=1);

namespace Nomada\App\Http\Controllers\Presence;

use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\View\View;
use Nomada\App\Actions\Presence\ReadList;
use Nomada\App\Actions\Presence\RememberColumns;
use Nomada\App\Http\Controllers\Controller;
use Nomada\App\Models\Term\Section;
use Nomada\App\Support\FaultWords;
use Nomada\App\Support\StagedText;
use Nomada\App\View\Presence\ListPage;
use Nomada\Core\Fault;
use Nomada\Core\Interchange\PresenceList;

/** A list of who came and left, of another service: upload, match its columns and people, take. */
final class PresenceListController extends Controller
{
    public function ask(Section $section): View
    {
        return view('presence.list', ['section' => $section]);
    }

    public function store(Request $request, Section $section): RedirectResponse
    {
        $given = $request->validate(
            [
                'list' => ['required', 'file', 'max:4096'],
                'date' => ['required', 'string'],
                'zone' => ['required', 'timezone:all'],
            ],
            [
                'list.required' => __('presence.list.file_fault'),
                'list.*' => __('presence.list.size_fault'),
                'date.*' => __('presence.list.day_fault'),
                'zone.*' => __('presence.list.zone_fault'),
            ],
        );
        $kept = StagedText::keep($given['list'], ['day' => $given['date'], 'zone' => $given['zone']]);

        return redirect()->route('presence-lists.show', [$section, $kept->key]);
    }

    public function show(Request $request, Section $section, string $key, ListPage $page): View|RedirectResponse
    {
        try {
            return view('presence.list-preview', [
                'page' => $page->of($section, StagedText::find($key), $this->columns($request)),
            ]);
        } catch (Fault $e) {
            return redirect()
                ->route('presence-lists', $section)
                ->withErrors(['list' => FaultWords::of($e)]);
        }
    }

    public function take(
        Request $request,
        Section $section,
        string $key,
        ListPage $page,
        ReadList $lists,
        RememberColumns $remember,
    ): RedirectResponse {
        $given = $request->validate(
            ['choice' => ['nullable', 'array', 'max:500'], 'choice.*' => ['nullable', 'string', 'max:120']],
            ['*' => __('presence.list.people_fault')],
        );
        $kept = StagedText::find($key);
        $found = $page->of($section, $kept, $this->columns($request));
        if ($found->look === null || $found->look->graves() !== []) {
            return redirect()->route('presence-lists.show', [$section, $key, ...$found->query()]);
        }
        $chosen = [];
        foreach (array_keys($found->look->open) as $i => $who) {
            $chosen[(string) $who] = (string) ($given['choice'][$i] ?? '');
        }
        $new = $lists->take($found->look, $chosen, $section, $this->person($request));
        $remember($found->heads, $found->columns);
        $kept->forget();

        return redirect()->route('attendance', $section)->with('said', trans_choice('presence.list.said', $new));
    }

    /** @return array<string, string> heads by what they are, as chosen in the address */
    private function columns(Request $request): array
    {
        $out = [];
        foreach (PresenceList::ROLES as $role) {
            $head = $request->query("as_$role");
            if (is_string($head) && $head !== '') {
                $out[$role] = $head;
            }
        }

        return $out;
    }
}
