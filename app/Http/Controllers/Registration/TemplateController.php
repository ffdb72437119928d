<?php

declare(strict_types=1);

namespace Nomada\App\Http\Controllers\Registration;

use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\View\View;
use Nomada\App\Http\Controllers\Controller;
use Nomada\App\Models\Registration\Letter;
use Nomada\App\Queries\Templates;
use Nomada\Core\Post\LetterKind;
use Nomada\Core\Post\Template;

/** The words of the letters, with a preview, and the letters that did not go. */
final class TemplateController extends Controller
{
    public function show(Request $request): View
    {
        $kind = LetterKind::tryFrom((string) $request->query('kind', 'accepted')) ?? LetterKind::Accepted;
        $template = Templates::of($kind);
        [$subject, $text] = $template->write($kind->placeholders());

        return view('post.templates', [
            'kinds' => LetterKind::cases(),
            'kind' => $kind,
            'template' => $template,
            'isOwn' => Templates::isOwn($kind),
            'subject' => $subject,
            'text' => $text,
            'stuck' => Letter::query()
                ->whereNull('sent_at')
                ->whereNotNull('trouble')
                ->orderByDesc('id')
                ->limit(50)
                ->get(),
            'sent' => Letter::query()->whereNotNull('sent_at')->count(),
        ]);
    }

    public function update(Request $request, string $kind): RedirectResponse
    {
        $kind = LetterKind::tryFrom($kind) ?? abort(404);
        $given = $request->validate(
            ['subject' => ['required', 'string', 'max:200'], 'text' => ['required', 'string', 'max:8000']],
            [
                'subject.*' => 'The subject is one line of 200 characters at most.',
                'text.*' => 'The letter has a text, of 8,000 characters at most.',
            ],
        );
        Templates::keep(
            new Template($kind, trim($given['subject']), str_replace("\r\n", "\n", trim($given['text']))),
            $this->person($request),
        );

        return redirect()
            ->route('letters', ['kind' => $kind->value])
            ->with('said', 'The words are kept; the next letter of this kind has them.');
    }

    public function destroy(string $kind): RedirectResponse
    {
        Templates::drop(LetterKind::tryFrom($kind) ?? abort(404));

        return redirect()
            ->route('letters', ['kind' => $kind])
            ->with('said', 'The usual words are back.');
    }
}
