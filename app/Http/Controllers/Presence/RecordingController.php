<?php

declare(strict_types=1);

namespace Nomada\App\Http\Controllers\Presence;

use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\View\View;
use Nomada\App\Actions\Recording\KeepTranscript;
use Nomada\App\Actions\Recording\PlayRecording;
use Nomada\App\Actions\Recording\ReleaseRecording;
use Nomada\App\Http\Controllers\Controller;
use Nomada\App\Http\RangeResponse;
use Nomada\App\Models\Presence\Recording;
use Nomada\App\Models\Term\Section;
use Nomada\App\Support\FaultWords;
use Nomada\App\View\Recording\PlayerPage;
use Nomada\App\View\Recording\SearchPage;
use Nomada\Core\Fault;
use Nomada\Core\Interchange\WebVtt;
use Symfony\Component\HttpFoundation\Response;

/** Recordings: the player, what it plays, and who may see it. Each answer asks whether anybody who asks may. */
final class RecordingController extends Controller
{
    public function show(Request $request, int $recording, PlayRecording $play): View
    {
        $found = Recording::kept($recording);
        $parts = $play->parts($found, $this->person($request));
        if ($play->asksWord($found, self::opened($request, $found), $this->person($request))) {
            return view('presence.recording-word', ['recording' => $found]);
        }

        return view('presence.recording', [
            'page' => PlayerPage::of(
                $found,
                $parts,
                $this->person($request),
                $play->serves($found, $this->person($request)),
            ),
        ]);
    }

    public function word(Request $request, int $recording, PlayRecording $play): RedirectResponse
    {
        $found = Recording::kept($recording);
        $opened = $play->open($found, (string) $request->input('word'), $this->person($request));
        $request->session()->put(self::key($found), $opened);

        return redirect()->route('recording', $recording);
    }

    /** The sound of one part: by a link that is one person's, and for a while. */
    public function part(Request $request, int $recording, int $part, PlayRecording $play): Response
    {
        $found = $this->signed($request, $recording);
        $sound = $play->sound($found, $part, self::opened($request, $found), $this->person($request));

        return RangeResponse::of($request, $sound);
    }

    public function transcript(Request $request, int $recording, int $part, PlayRecording $play): Response
    {
        $found = $this->signed($request, $recording);
        $text = $play->transcript($found, $part, self::opened($request, $found), $this->person($request));

        return new Response($text, 200, ['Content-Type' => 'text/vtt; charset=utf-8']);
    }

    public function place(Request $request, int $recording, PlayRecording $play): Response
    {
        $play->keep(Recording::kept($recording), $this->person($request), $request->integer('at'));

        return response()->noContent();
    }

    public function release(Request $request, int $recording, ReleaseRecording $release): RedirectResponse
    {
        $found = $this->served($recording);
        $given = $request->validate(
            [
                'parts' => ['nullable', 'array', 'max:100'],
                'parts.*' => ['integer'],
                'whom' => ['required', 'in:all,absent,chosen'],
                'people' => ['nullable', 'array', 'max:500'],
                'people.*' => ['string', 'max:80'],
                'word' => ['nullable', 'string', 'max:60'],
            ],
            ['*' => __('recordings.release.fault')],
        );
        $release(
            $found,
            array_values(array_map(intval(...), $given['parts'] ?? [])),
            $release->whom($found, $given['whom'], array_values($given['people'] ?? [])),
            (string) ($given['word'] ?? ''),
            $this->person($request),
        );

        return redirect()->route('recording', $recording)->with('said', __('recordings.release.said'));
    }

    public function withdraw(Request $request, int $recording, ReleaseRecording $release): RedirectResponse
    {
        $release->withdraw($this->served($recording), $this->person($request));

        return redirect()->route('recording', $recording)->with('said', __('recordings.release.withdrawn'));
    }

    public function keepTranscript(Request $request, int $recording, KeepTranscript $keep): RedirectResponse
    {
        $found = $this->served($recording);
        $given = $request->validate(
            ['transcript' => ['required', 'file', 'max:4096']],
            ['transcript.*' => __('recordings.transcript.file_fault')],
        );
        $vtt = new WebVtt(
            mb_scrub($given['transcript']->getClientOriginalName()),
            (string) $given['transcript']->get(),
        );
        if ($vtt->faults !== []) {
            throw new Fault('import.lines', 'transcript', [
                'lines' => implode(' ', array_map(FaultWords::line(...), array_slice($vtt->faults, 0, 5))),
            ]);
        }
        $parts = $keep($found, $vtt);

        return redirect()
            ->route('recording', $recording)
            ->with('said', trans_choice('recordings.transcript.said', count($parts)));
    }

    /** Over all transcripts of a section, as far as the viewer may see them. */
    public function search(Request $request, Section $section, SearchPage $page): View
    {
        return view('presence.search', [
            'page' => $page->of($section, $this->person($request), (string) $request->query('q', '')),
        ]);
    }

    /** The address of a part is one person's, and so is what it leads to. */
    private function signed(Request $request, int $recording): Recording
    {
        $found = Recording::kept($recording);
        abort_unless(
            $request->hasValidSignature() && $request->integer('for') === $this->person($request)->id,
            403,
        );

        return $found;
    }

    private static function opened(Request $request, Recording $recording): ?string
    {
        $opened = $request->session()->get(self::key($recording));

        return is_string($opened) ? $opened : null;
    }

    private static function key(Recording $recording): string
    {
        return "recording word $recording->id";
    }

    private function served(int $recording): Recording
    {
        $found = Recording::kept($recording);
        $this->authorize('host', $found->session);

        return $found;
    }
}
