<?php

declare(strict_types=1);

namespace Nomada\App\Http\Controllers\Registration;

use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\View\View;
use Nomada\App\Actions\Publishing\KeepShowing;
use Nomada\App\Actions\Registration\KeepTemplate;
use Nomada\App\Http\Controllers\Controller;
use Nomada\App\Models\Term\Section;
use Nomada\App\Queries\Templates;
use Nomada\App\View\Publishing\WordsPage;
use Nomada\App\View\Publishing\WordsWritten;
use Nomada\Core\Post\LetterKind;
use Nomada\Core\Post\Template;
use Nomada\Core\Post\Wording;
use Nomada\Core\Publishing\ShownText;

/** The words of letters and of what is published, in each language, with how they read. */
final class TemplateController extends Controller
{
    public function show(Request $request, WordsWritten $writes): View
    {
        $kind = Templates::kind((string) $request->query('kind', '')) ?? LetterKind::Accepted;
        $language = (string) $request->query('language', '');
        $isSpoken = in_array($language, Templates::languages(), true);

        return $this->page($request, $kind, $isSpoken ? $language : Templates::languages()[0], null, $writes);
    }

    public function update(
        Request $request,
        string $kind,
        string $language,
        KeepShowing $keep,
        KeepTemplate $wording,
        WordsWritten $writes,
    ): View|RedirectResponse {
        [$kind, $language] = $this->known($kind, $language);
        $given = $request->validate(
            ['subject' => ['required', 'string', 'max:200'], 'text' => ['nullable', 'string', 'max:8000']],
            [
                'subject.*' => __('showing.words_page.subject_fault'),
                'text.*' => __('showing.words_page.text_fault'),
            ],
        );
        $template = new Template(
            $kind,
            trim($given['subject']),
            str_replace("\r\n", "\n", trim((string) $given['text'])),
        );
        if ($request->boolean('look')) {
            return $this->page($request, $kind, $language, $template, $writes);
        }
        if ($kind instanceof ShownText) {
            $keep->words($kind, $language, $template, $this->person($request));
        } else {
            $wording($template, $language, $this->person($request));
        }

        return $this->back($request, $kind, $language)->with(
            'said',
            __($kind instanceof ShownText ? 'showing.words_page.kept_places' : 'showing.words_page.kept'),
        );
    }

    public function destroy(
        Request $request,
        string $kind,
        string $language,
        KeepShowing $keep,
        KeepTemplate $wording,
    ): RedirectResponse {
        [$kind, $language] = $this->known($kind, $language);
        if ($kind instanceof ShownText) {
            $keep->words($kind, $language, null, $this->person($request));
        } else {
            $wording->drop($kind, $language);
        }

        return $this->back($request, $kind, $language)->with('said', __('showing.words_page.back'));
    }

    private function page(
        Request $request,
        Wording $kind,
        string $language,
        ?Template $typed,
        WordsWritten $writes,
    ): View {
        $section = Section::inTerm($this->term(), (string) $request->input('section', ''));

        return view('publishing.words', ['page' => WordsPage::of($kind, $language, $typed, $section, $writes)]);
    }

    /** @return array{Wording, string} */
    private function known(string $kind, string $language): array
    {
        abort_unless(in_array($language, Templates::languages(), true), 404);

        return [Templates::kind($kind) ?? abort(404), $language];
    }

    private function back(Request $request, Wording $kind, string $language): RedirectResponse
    {
        return redirect()->route(
            'letters',
            array_filter([
                'kind' => $kind->code(),
                'language' => $language,
                'section' => (string) $request->input('section', ''),
            ]),
        );
    }
}
