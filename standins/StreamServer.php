<?php

declare(strict_types=1);

namespace Nomada\Standins;

/** The stream server: posts to a section, by an idempotency key, readable as a page and as Atom (RFC 4287). */
final readonly class StreamServer
{
    private const ANSWERS = [
        'nobody' => '<p>Nobody can answer.</p>',
        'answers' => '<p>Students can answer.</p>',
        'posts' => '<p>Students can answer, and post.</p>',
    ];

    public function __construct(private Store $store)
    {
    }

    /** @param  list<string>  $parts */
    public function answer(Request $request, array $parts): Answer
    {
        [$kind, $id, $sub] = $parts + ['', '', ''];

        return match (true) {
            $kind === 'posts' && $id !== '' => $this->post($request, $id),
            $kind === 'sections' && $id !== '' && $sub === 'posts' && $request->method === 'POST' => $this->add(
                $request,
                $id,
            ),
            $kind === 'sections' && $id !== '' && $sub === 'atom' => $this->atom($id),
            $kind === 'sections' && $id !== '' => $request->wantsPage()
                ? $this->page($request, $id)
                : Answer::json(200, ['section' => $id, 'posts' => $this->posts($id)]),
            default => throw new Refusal(404, 'The stream server has posts of sections.'),
        };
    }

    private function add(Request $request, string $section): Answer
    {
        $key = $request->header('idempotency-key');
        if ($key === '') {
            throw new Refusal(400, 'The Idempotency-Key is missing.');
        }
        $post = (string) json_encode($request->json(), JSON_UNESCAPED_UNICODE);
        $made = $this->store->run(
            'insert into posts (id, section, key, post, etag) values (?, ?, ?, ?, ?) on conflict (key) do nothing',
            [bin2hex(random_bytes(8)), $section, $key, $post, self::etag($post)],
        );
        $row = (array) $this->store->one('select id, post, etag from posts where key = ?', [$key]);

        return Answer::json(
            $made === 1 ? 201 : 200,
            ['id' => $row['id'], 'post' => json_decode((string) $row['post'], true)],
            ['ETag' => (string) $row['etag']],
        );
    }

    private function post(Request $request, string $id): Answer
    {
        $row =
            $this->store->one('select * from posts where id = ?', [$id]) ??
            throw new Refusal(404, 'There is no such post.');
        if ($request->method === 'DELETE') {
            $this->store->run('delete from posts where id = ?', [$id]);

            return new Answer(204);
        }
        if ($request->method === 'PUT') {
            if ($request->header('if-match') !== '' && $request->header('if-match') !== $row['etag']) {
                throw new Refusal(412, 'Somebody has changed this post.');
            }
            $post = (string) json_encode($request->json(), JSON_UNESCAPED_UNICODE);
            $this->store->run('update posts set post = ?, etag = ?, changed_at = now() where id = ?', [
                $post,
                self::etag($post),
                $id,
            ]);

            return new Answer(204, '', ['ETag' => self::etag($post)]);
        }

        return Answer::json(
            200,
            ['id' => $id, 'post' => json_decode((string) $row['post'], true)],
            ['ETag' => (string) $row['etag']],
        );
    }

    private function page(Request $request, string $section): Answer
    {
        $html = '';
        $reader = $request->query['reader'] ?? '';
        foreach ($this->posts($section) as $row) {
            $post = new Posted((array) $row['post']);
            $for = $post->readers();
            if ($reader !== '' && $for !== null && ! in_array($reader, $for, true)) {
                continue;
            }
            $text = $post->field('text');
            $html .=
                '<article><h2>'.
                Page::text($post->title()).
                '</h2><p>'.
                Page::text(is_string($text) ? $text : '').
                '</p>'.
                Page::fields($post->without('title', 'text')).
                ($for === null ? '' : '<p>For '.count($for).' students.</p>').
                (self::ANSWERS[$post->setting('answers')] ?? '').
                '</article>';
        }

        return Answer::page(
            Page::of(
                $request->query['title'] ?? 'Class stream',
                $html === '' ? '<p>Nothing has been posted yet.</p>' : $html,
                'Stream server',
            ),
        );
    }

    private function atom(string $section): Answer
    {
        $x = new \XMLWriter();
        $x->openMemory();
        $x->startDocument('1.0', 'UTF-8');
        $x->startElementNs(null, 'feed', 'http://www.w3.org/2005/Atom');
        $posts = $this->posts($section);
        $x->writeElement('id', 'urn:section:'.rawurlencode($section));
        $x->writeElement('title', "Class stream $section");
        $x->writeElement('updated', self::stamp($posts[0]['changed_at'] ?? '1970-01-01'));
        foreach ($posts as $row) {
            $post = (array) $row['post'];
            $lines = [];
            foreach ((array) ($post['fields'] ?? []) as $name => $value) {
                $lines[] = "$name: ".(is_array($value) ? implode('; ', $value) : (string) $value);
            }
            $x->startElement('entry');
            $x->writeElement('id', "urn:post:{$row['id']}");
            $x->writeElement('title', (string) ($post['title'] ?? ''));
            $x->writeElement('updated', self::stamp($row['changed_at']));
            $x->startElement('author');
            $x->writeElement('name', 'The section\'s teacher');
            $x->endElement();
            $x->startElement('content');
            $x->writeAttribute('type', 'text');
            $x->text(implode("\n", $lines));
            $x->endElement();
            $x->endElement();
        }
        $x->endElement();

        return new Answer(200, $x->outputMemory(), ['Content-Type' => 'application/atom+xml; charset=utf-8']);
    }

    /** @return list<array<string, mixed>> */
    private function posts(string $section): array
    {
        return array_map(
            fn (array $row): array => [...$row, 'post' => json_decode((string) $row['post'], true)],
            $this->store->all(
                'select id, key, etag, post, posted_at, changed_at from posts where section = ?
                    order by posted_at desc',
                [$section],
            ),
        );
    }

    private static function stamp(mixed $at): string
    {
        return gmdate('Y-m-d\TH:i:s\Z', (int) strtotime(is_string($at) ? $at : ''));
    }

    private static function etag(string $post): string
    {
        return '"'.substr(hash('sha256', $post), 0, 20).'"';
    }
}
