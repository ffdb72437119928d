<?php

declare(strict_types=1);

namespace Nomada\Standins;

/**
 * The room as one person has it: who is here, the sheet, the talk. Server-written; a small script looks again by the
 * version and puts in what has changed. An address belongs to the first browser that opens it.
 */
final readonly class RoomPage
{
    private const ASIDE = [
        'outside' => [
            'You are waiting to be let in',
            'The teacher will let you in. Stay on this page: it refreshes '.'automatically.',
        ],
        'taken-over' => ['You are not inside', 'You joined on another device, which took over from this one.'],
        'sent-out' => [
            'You were removed from the session',
            'You cannot join it again. Talk to your teacher afterwards.',
        ],
        'ended' => ['The session is over', 'The teacher has ended the session for everybody.'],
        'left' => ['You are not inside', 'You have left. Use your own link to join again.'],
    ];

    public function __construct(private Store $store)
    {
    }

    /** @param  array<string, mixed>  $room */
    public function answer(Request $request, array $room, string $sub): Answer
    {
        $seat =
            $this->store->one('select * from seats where room = ? and seat = ?', [
                $room['id'],
                $request->query['seat'],
            ]) ?? throw new Refusal(403, 'Use your own link to join.');
        $cookie = $this->holder($request, $seat);
        $meeting = new Meeting($this->store, (string) $room['id'], (string) $seat['meeting']);
        $answer = match (true) {
            $sub === 'leave' && $request->method === 'POST' => $this->leave($room, $seat, $meeting),
            $sub === 'do' && $request->method === 'POST' => $this->do($request, $seat, $meeting),
            $sub === 'look' => $this->look($request, $seat, $meeting),
            default => $this->page($request, $room, $seat, $meeting),
        };

        return new Answer($answer->status, $answer->body, $answer->headers + $cookie);
    }

    /**
     * @param  array<string, mixed>  $seat
     * @return array<string, string> a header that keeps it
     */
    private function holder(Request $request, array $seat): array
    {
        $name = 'seat_'.substr((string) $seat['seat'], 0, 8);
        $given = $_COOKIE[$name] ?? '';
        if ($seat['holder'] !== null) {
            if (! is_string($given) || ! hash_equals((string) $seat['holder'], hash('sha256', $given))) {
                throw new Refusal(403, 'This page is open in another browser. Use your own link to join.');
            }

            return [];
        }
        if (! $request->wantsPage()) {
            return [];
        }
        $word = bin2hex(random_bytes(16));
        $taken = $this->store->run('update seats set holder = ? where seat = ? and holder is null', [
            hash('sha256', $word),
            $seat['seat'],
        ]);
        if ($taken !== 1) {
            throw new Refusal(403, 'This page is open in another browser. Use your own link to join.');
        }

        return ['Set-Cookie' => "$name=$word; Path=/bridge; HttpOnly; SameSite=Lax"];
    }

    /**
     * @param  array<string, mixed>  $room
     * @param  array<string, mixed>  $seat
     */
    private function leave(array $room, array $seat, Meeting $meeting): Answer
    {
        $left = $this->store->run(
            "update seats set state = 'left', left_at = now(), hand = null, mic = false where seat = ? and state in
                ('inside', 'outside')",
            [$seat['seat']],
        );
        if ($left === 1) {
            if ($seat['state'] === 'inside') {
                $meeting->event(
                    (string) $seat['person'],
                    (string) $seat['name'],
                    'leave',
                    $meeting->now(),
                    (string) $seat['device'],
                );
            }
            $meeting->touch();
        }

        return Answer::page(
            Page::of(
                'You have left',
                '<p>'.Page::text((string) $room['title']).'. You can close this page.</p>',
                'Conference service',
            ),
        );
    }

    /** @param  array<string, mixed>  $seat */
    private function do(Request $request, array $seat, Meeting $meeting): Answer
    {
        $isScript = str_contains($request->header('content-type'), 'json');
        parse_str($request->body, $form);
        $given = $isScript ? $request->json() : $form;
        $named = array_filter($given, is_string(...), ARRAY_FILTER_USE_KEY);
        $meeting->do($seat, is_string($named['do'] ?? null) ? $named['do'] : '', $named);

        return $isScript
            ? Answer::json(200, ['done' => true])
            : new Answer(303, '', ['Location' => "/bridge/rooms/$seat[room]?seat=$seat[seat]"]);
    }

    /** @param  array<string, mixed>  $seat */
    private function look(Request $request, array $seat, Meeting $meeting): Answer
    {
        // Anybody who has captions sees something new whenever something was said.
        $captions = ($request->query['captions'] ?? '') === '1' ? $meeting->captions() : [];
        $version = $meeting->version().($captions === [] ? '' : '-'.end($captions)['id']);
        if (($request->query['v'] ?? '') === $version) {
            return new Answer(304, '');
        }

        return Answer::json(200, [
            'version' => $version,
            'state' => $seat['state'],
            'parts' => $seat['state'] === 'inside' ? $this->parts($seat, $meeting, $captions) : [],
        ]);
    }

    /**
     * @param  array<string, mixed>  $room
     * @param  array<string, mixed>  $seat
     */
    private function page(Request $request, array $room, array $seat, Meeting $meeting): Answer
    {
        $base = "/bridge/rooms/$room[id]";
        $leave = "<form method=\"post\" action=\"$base/leave?seat=$seat[seat]\"><button>Leave</button></form>";
        $aside = self::ASIDE[$seat['state']] ?? null;
        if ($aside !== null) {
            $isOutside = $seat['state'] === 'outside';

            return Answer::page(
                str_replace(
                    '<head>',
                    $isOutside ? '<head><meta http-equiv="refresh" content="4">' : '<head>',
                    Page::of($aside[0], "<p>$aside[1]</p>".($isOutside ? $leave : ''), 'Conference service'),
                ),
            );
        }
        $html =
            '<div class="room" data-base="'.
            $base.
            '" data-seat="'.
            $seat['seat'].
            '" data-version="'.
            $meeting->version().
            '">'.
            self::devices();
        foreach ($this->parts($seat, $meeting) as $name => $part) {
            $html .=
                "<section id=\"$name\" aria-live=\"".($name === 'talk' ? 'polite' : 'off')."\">$part</section>";
        }
        $page = Page::of(
            (string) $room['title'],
            $html.self::tools($base, $seat).'</div>'.$leave,
            'Conference service',
        );

        return Answer::page(str_replace('</body>', '<script src="/room.js"></script></body>', $page));
    }

    private static function devices(): string
    {
        return '<details id="devices" class="wide"><summary>Microphone, loudspeaker and camera</summary>'.
            '<p id="device-words">Before anybody hears you: speak, and the bar moves. Only you see and hear this.</p>'.
            '<label>Microphone <select id="mics"></select></label>'.
            '<p><meter id="level" min="0" max="1" value="0" aria-label="How loud you are"></meter></p>'.
            '<label>Camera <select id="cameras"></select></label>'.
            '<p><video id="see" width="240" height="180" muted playsinline aria-label="Your camera"></video></p>'.
            '<label>Loudspeaker <select id="speakers"></select></label>'.
            '<p><button type="button" id="try">Try</button> <button type="button" id="sound">Play a sound</button> '.
            '<button type="button" id="ready">All works</button> '.
            '<button type="button" id="no-camera">Join without a camera</button></p></details>';
    }

    /** @param  array<string, mixed>  $seat */
    private static function tools(string $base, array $seat): string
    {
        $action = "$base/do?seat=$seat[seat]";

        return "<form method=\"post\" action=\"$action\" id=\"say\" class=\"wide\"><input type=\"hidden\" name=\"do\" ".
            'value="say"><label for="line">Say something</label><input id="line" name="text" maxlength="500" '.
            'autocomplete="off"><select name="to" aria-label="To whom"><option value="everyone">to everybody</option>'.
            '<option value="teacher">to the teacher only</option></select><button>Send</button></form>'.
            '<p class="wide"><label class="inline"><input type="checkbox" id="captions"> Captions'.
            '</label></p>'.
            '<p id="fault" class="wide" role="alert"></p>'.
            '<dialog id="writing" aria-labelledby="writing-words"><form method="dialog">'.
            '<label for="written" id="writing-words">Text</label>'.
            '<input id="written" maxlength="120" autocomplete="off">'.
            '<button value="put">Add</button> <button value="">Cancel</button></form></dialog>';
    }

    /**
     * @param  array<string, mixed>  $seat
     * @param  list<array<string, mixed>>  $captions  for anybody who asked for them
     * @return array<string, string> html of each part, by its id
     */
    private function parts(array $seat, Meeting $meeting, array $captions = []): array
    {
        $seat = $this->store->one('select * from seats where seat = ?', [$seat['seat']]) ?? $seat;
        $state = $meeting->state((string) $seat['person'], (bool) $seat['host']);

        return [
            'who' => $this->who($seat, $state, $meeting),
            'sheet' => self::sheet($seat, $state, $meeting),
            'talk' => self::talk($state),
            'captions-text' => self::captions($captions),
        ];
    }

    /**
     * @param  array<string, mixed>  $seat
     * @param  array<string, mixed>  $state
     */
    private function who(array $seat, array $state, Meeting $meeting): string
    {
        $people = $state['inside'];
        $html =
            '<h2>Who is here</h2><p class="big">'.
            (count($people) === 1 ? '1 person is inside' : count($people).' people are inside').
            '</p><ul class="people">';
        foreach ($people as $one) {
            $html .=
                '<li>'.
                ($one['hand'] === null ? '' : '<b class="hand">'.$one['hand'].'</b> ').
                Page::text((string) $one['name']).
                ($one['host'] ? ' <em>teacher</em>' : ($one['floor'] ? ' <em>has the floor</em>' : '')).
                ' <em>'.
                ($one['mic'] ? 'speaks' : 'mic off').
                ($one['camera'] ? ', camera on' : '').
                '</em></li>';
        }
        $html .= '</ul>';
        $speaks = $meeting->may($seat, 'speak') && ($state['may_unmute'] || $seat['host'] || $seat['floor']);
        $html .=
            '<div class="acts">'.
            ($speaks || $seat['mic']
                ? self::act($seat, 'mic', $seat['mic'] ? 'Microphone off' : 'Microphone on', ! $seat['mic'], 'm')
                : '<p>Your microphone is off; the teacher gives you the floor.</p>').
            ($meeting->may($seat, 'camera')
                ? self::act($seat, 'camera', $seat['camera'] ? 'Camera off' : 'Camera on', ! $seat['camera'], 'c')
                : '').
            ($seat['host']
                ? ''
                : self::act(
                    $seat,
                    'hand',
                    $seat['hand'] === null ? 'Raise your hand' : 'Lower your hand',
                    $seat['hand'] === null,
                    'h',
                )).
            '</div>'.
            $this->question($seat, $state);

        return $html.$this->powers($seat, $meeting);
    }

    /**
     * @param  array<string, mixed>  $seat
     * @param  array<string, mixed>  $state
     */
    private function question(array $seat, array $state): string
    {
        $asked = $state['question'];
        if ($asked === null) {
            return '';
        }
        $html = '<fieldset class="question"><legend>'.Page::text($asked['text']).'</legend>';
        foreach ($asked['answers'] as $i => $answer) {
            $html .= $seat['host']
                ? '<p>'.Page::text($answer).': '.($asked['counts'][$i] ?? 0).'</p>'
                : self::act($seat, 'answer', $answer, true, (string) ($i + 1), $i, $asked['own'] === $i);
        }

        return "$html</fieldset>";
    }

    /** @param  array<string, mixed>  $seat */
    private static function act(
        array $seat,
        string $do,
        string $label,
        bool $on,
        string $key,
        ?int $choice = null,
        bool $isChosen = false,
    ): string {
        return '<form method="post" action="/bridge/rooms/'.
            $seat['room'].
            '/do?seat='.
            $seat['seat'].
            '" class="act"><input type="hidden" name="do" value="'.
            $do.
            '"><input type="hidden" name="on" value="'.
            ($on ? '1' : '').
            '">'.
            ($choice === null ? '' : "<input type=\"hidden\" name=\"choice\" value=\"$choice\">").
            '<button data-key="'.
            $key.
            '" aria-keyshortcuts="'.
            $key.
            '"'.
            ($isChosen ? ' aria-pressed="true"' : '').
            '>'.
            Page::text($label).
            '</button></form>';
    }

    /**
     * @param  array<string, mixed>  $seat
     * @param  array<string, mixed>  $state
     */
    private static function sheet(array $seat, array $state, Meeting $meeting): string
    {
        $mayDraw = $meeting->may($seat, 'draw');
        $html =
            '<h2>Whiteboard</h2>'.
            ($state['recording_since'] === null
                ? ''
                : '<p class="recorded">This is recorded. Whoever does not want to be in it keeps microphone and '.
                    'camera off, and tells the teacher.</p>').
            ($state['window'] === null
                ? ''
                : '<p class="window">'.
                    Page::text((string) $state['window']['name']).
                    ' is sharing a screen: <b>'.
                    Page::text((string) $state['window']['title']).
                    '</b></p>').
            ($mayDraw
                ? '<div id="board" tabindex="0" role="application" aria-label="Whiteboard, to draw on" '.
                    'aria-describedby="pen-keys">'
                : '').
            '<svg viewBox="0 0 800 560" role="img" aria-label="'.
            Page::text(self::said($state['sheet'])).
            '"'.
            ($mayDraw ? ' data-draws="1"' : '').
            '>';
        foreach ($state['sheet'] as $mark) {
            $html .= self::markOf($mark);
        }
        $html .= '</svg>';
        if ($mayDraw) {
            $html .=
                '</div><p id="pen-keys" class="small">By keys: choose what to do below, go to the sheet, move with '.
                'the arrows (with Shift in large steps), Enter sets a point, Escape ends the line.</p>'.
                '<p id="pen-at" class="small" role="status"></p>'.
                '<div class="acts" id="pens"><button type="button" data-pen="line">Draw</button>'.
                '<button type="button" data-pen="text">Write</button>'.
                '<button type="button" data-pen="point">Point</button>'.
                '<label class="inline">Put up a picture <input type="file" id="picture" accept="image/*"></label>'.
                '</div>'.
                self::act($seat, 'wipe', 'Clear the whiteboard', true, 'w');
        }
        if ($meeting->may($seat, 'screen')) {
            $html .=
                '<form method="post" action="/bridge/rooms/'.
                $seat['room'].
                '/do?seat='.
                $seat['seat'].
                '" class="act"><input type="hidden" name="do" value="window"><label>Show a window '.
                '<input name="title" maxlength="80" placeholder="its title; empty shows none"></label>'.
                '<button>Show</button></form>';
        }

        return $html;
    }

    /** @param  list<array<string, mixed>>  $marks */
    private static function said(array $marks): string
    {
        $texts = array_filter(array_map(fn (array $m): string => (string) ($m['data']['text'] ?? ''), $marks));

        return 'Whiteboard: '.count($marks).' marks'.($texts === [] ? '' : '. '.implode('; ', $texts));
    }

    /** @param  array<string, mixed>  $mark */
    private static function markOf(array $mark): string
    {
        $d = $mark['data'];
        $name = Page::text((string) $mark['name']);

        return match ($mark['kind']) {
            'line' => '<polyline class="mark" points="'.
                implode(' ', array_map(fn (array $p): string => (float) $p[0].','.(float) $p[1], $d['points'])).
                '"><title>'.
                $name.
                '</title></polyline>',
            'text' => '<text x="'.
                (float) $d['x'].
                '" y="'.
                (float) $d['y'].
                '">'.
                Page::text($d['text']).
                '</text>',
            'point' => '<g class="point"><circle cx="'.
                (float) $d['x'].
                '" cy="'.
                (float) $d['y'].
                '" r="7"/><text x="'.
                ((float) $d['x'] + 12).
                '" y="'.
                ((float) $d['y'] + 5).
                '">'.
                $name.
                ' is pointing here</text></g>',
            default => '<image href="'.Page::text($d['src']).'" x="0" y="0" width="800" height="560"/>',
        };
    }

    /**
     * What is being said, in the last two lines; what was said before is read back in the transcript.
     *
     * @param  list<array<string, mixed>>  $captions
     */
    private static function captions(array $captions): string
    {
        return implode(
            '',
            array_map(
                fn (array $c): string => '<p class="caption">'.Page::text((string) $c['text']).'</p>',
                array_slice($captions, -2),
            ),
        );
    }

    /**
     * One log of what was said, written, and happened, in the order of time.
     *
     * @param  array<string, mixed>  $state
     */
    private static function talk(array $state): string
    {
        $lines = $state['talk'];
        usort($lines, fn (array $a, array $b): int => $a['at'] <=> $b['at']);
        $html = '<h2>Chat</h2><ol class="talk" tabindex="0" aria-label="Messages and events">';
        foreach ($lines as $line) {
            $name = Page::text((string) $line['name']);
            $text = $line['gone'] ? '<i>removed by the teacher</i>' : Page::text((string) $line['text']);
            $html .=
                '<li class="'.
                $line['kind'].
                '" data-id="'.
                $line['id'].
                '"><time datetime="'.
                gmdate('Y-m-d\TH:i:s\Z', (int) $line['at']).
                '">'.
                gmdate('H:i', (int) $line['at']).
                ' UTC</time> '.
                match ($line['kind']) {
                    'event' => trim("$name $text"),
                    'private' => "$name to the teacher: $text",
                    default => "$name: $text",
                }.
                '</li>';
        }

        return $html.'</ol>'.($state['chat_open'] ? '' : '<p>The teacher has stopped the chat.</p>');
    }

    /** @param  array<string, mixed>  $seat */
    private function powers(array $seat, Meeting $meeting): string
    {
        $rules = (array) json_decode((string) $seat['rules'], true);
        $html = '';
        foreach (
            [
                'speak' => 'Speak',
                'camera' => 'Camera',
                'chat' => 'Chat',
                'screen' => 'Share a screen',
                'draw' => 'Draw',
                'record' => 'Record',
            ] as $power => $label
        ) {
            $isMuted = $power === 'speak' && ($rules['muted_on_entry'] ?? false) && ! $seat['host'];
            $html .=
                "<li>$label: ".
                ($meeting->may($seat, $power) ? 'yes'.($isMuted ? '; your microphone starts off' : '') : 'no').
                '</li>';
        }

        return "<details><summary>What you may do</summary><ul>$html</ul></details>";
    }
}
