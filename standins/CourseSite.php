<?php

declare(strict_types=1);

namespace Nomada\Standins;

/** The course site: one page a section, a pinned place on top, then one block a week. */
final readonly class CourseSite
{
    private Documents $documents;

    public function __construct(Store $store)
    {
        $this->documents = new Documents($store, 'course');
    }

    /** @param  list<string>  $parts */
    public function answer(Request $request, array $parts): Answer
    {
        [$kind, $section, $sub, $item] = $parts + ['', '', '', ''];
        if ($kind !== 'pages' || $section === '') {
            throw new Refusal(404, 'The course site has a page a section.');
        }
        if ($sub === 'items' && $item !== '') {
            if ($request->method === 'PUT') {
                $request->json();
            }

            return $this->documents->answer($request, "$section/$item", $section, 'application/json');
        }
        $items = array_map(
            fn (array $row): array => ['item' => $row['path'], 'etag' => $row['etag']] +
                (array) json_decode((string) $row['body'], true),
            $this->documents->of($section),
        );

        return $request->wantsPage()
            ? $this->page($request, $items)
            : Answer::json(200, ['section' => $section, 'items' => $items]);
    }

    /** @param  list<array<string, mixed>>  $items */
    private function page(Request $request, array $items): Answer
    {
        usort(
            $items,
            fn (array $a, array $b): int => [$a['block'] === 'pinned' ? 0 : 1, (int) $a['block']] <=> [
                $b['block'] === 'pinned' ? 0 : 1,
                (int) $b['block'],
            ],
        );
        $html = $items === [] ? '<p>Nothing has been put on this page yet.</p>' : '';
        foreach ($items as $item) {
            $fields = (array) $item['fields'];
            unset($fields['Title'], $fields['Week'], $fields['Begins']);
            if ($item['block'] === 'pinned') {
                $fields =
                    (isset($fields['Sessions'])
                        ? ['Next' => $this->turn((array) $fields['Sessions'], $request->at())]
                        : []) + array_diff_key($fields, ['Sessions' => 1]);
                $html .=
                    '<section class="pinned"><h2>'.
                    Page::text((string) $item['title']).
                    '</h2>'.
                    Page::fields($fields).
                    '</section>';
            } else {
                $html .=
                    '<section><h2>Week '.
                    Page::text((string) $item['block']).
                    '</h2><h3>'.
                    Page::text((string) $item['title']).
                    '</h3>'.
                    Page::fields($fields).
                    '</section>';
            }
        }

        return Answer::page(Page::of($request->query['title'] ?? 'Course page', $html, 'Course site'));
    }

    /**
     * Of lines that begin with the moment at which they give way, the one whose turn it is.
     *
     * @param  array<mixed>  $lines
     */
    private function turn(array $lines, int $at): string
    {
        foreach ($lines as $line) {
            [$until, $text] = explode(' ', (string) $line, 2) + ['', ''];
            if (strtotime($until) > $at) {
                return $text;
            }
        }

        return 'No more sessions this term.';
    }
}
