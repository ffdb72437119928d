<?php

declare(strict_types=1);

namespace Nomada\Standins;

/**
 * The post office: takes MIME messages for recipients, and shows each their mailbox. The same message twice is kept
 * once.
 */
final readonly class PostOffice
{
    public function __construct(private Store $store)
    {
    }

    /** @param  list<string>  $parts */
    public function answer(Request $request, array $parts): Answer
    {
        [$kind, $id] = $parts + ['', ''];

        return match (true) {
            $kind === 'letters' && $request->method === 'POST' => $this->take($request),
            $kind === 'people' && $id !== '' => $request->wantsPage()
                ? $this->page($request, $id)
                : Answer::json(200, ['letters' => array_column($this->letters($id), 'body')]),
            default => throw new Refusal(404, 'The mail server has emails of people.'),
        };
    }

    private function take(Request $request): Answer
    {
        $to = mb_strtolower(trim($request->header('envelope-to')));
        if (filter_var($to, FILTER_VALIDATE_EMAIL) === false) {
            throw new Refusal(400, 'The recipient\'s address is none.');
        }
        $message = new MimeMessage($request->body);
        $key = trim($message->header('Message-ID'), '<> ');
        if ($key === '' || $message->header('From') === '') {
            throw new Refusal(400, 'Message-ID or From is missing.');
        }
        $made = $this->store->run(
            'insert into letters (key, address, body) values (?, ?, ?) on conflict (key, address) do nothing',
            [$key, $to, base64_encode($request->body)],
        );

        return Answer::json($made === 1 ? 201 : 200, ['key' => $key]);
    }

    private function page(Request $request, string $address): Answer
    {
        $html = '';
        foreach ($this->letters($address) as $row) {
            $message = new MimeMessage($row['body']);
            $files = '';
            foreach ($message->attachments() as $part) {
                $files .=
                    '<p class="quiet">Attached: '.
                    Page::text($part['name'] === '' ? 'a part without a name' : $part['name']).
                    ' ('.
                    Page::text($part['type']).
                    ')</p>';
            }
            $text = (string) preg_replace(
                '#https?://[^\s<]+[^\s<.,;]#',
                '<a href="$0">$0</a>',
                Page::text(trim($message->text())),
            );
            $html .=
                '<article><h2>'.
                Page::text($message->header('Subject')).
                '</h2><p class="quiet">From '.
                Page::text($message->header('From')).
                ', to '.
                Page::text($row['address']).
                '</p><p>'.
                nl2br($text, false).
                '</p>'.
                $files.
                '</article>';
        }

        return Answer::page(
            Page::of(
                $request->query['title'] ?? 'Mailbox',
                $html === '' ? '<p>No email has arrived yet.</p>' : $html,
                'Mail server',
            ),
        );
    }

    /** @return list<array{address: string, body: string}> newest first */
    private function letters(string $address): array
    {
        return array_map(
            fn (array $r): array => [
                'address' => (string) $r['address'],
                'body' => (string) base64_decode((string) $r['body'], true),
            ],
            $this->store->all('select address, body from letters where address = ? order by id desc limit 200', [
                mb_strtolower($address),
            ]),
        );
    }
}
