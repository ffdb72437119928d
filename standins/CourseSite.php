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

    /** @param  list<array<string, mixed>>  $plain */
    private function page(Request $request, array $plain): Answer
    {
        $items = array_filter(
            array_map(fn (array $one): Posted => new Posted($one), $plain),
            fn (Posted $one): bool => $one->isShown($request->at()),
        );
        $html = $items === [] ? '<p>Nothing has been published on this page yet.</p>' : '';
        $past = '';
        foreach ($this->inOrder(array_values($items)) as $item) {
            $begins = $item->field('begins');
            $isPast =
                is_string($begins) &&
                strtotime($begins) + 7 * 86400 < $request->at() &&
                ! str_starts_with($item->setting('position'), 'after ');
            if ($isPast) {
                $past .= $this->item($item, $request->at());
            } else {
                $html .= $this->item($item, $request->at());
            }
        }
        $html .= $past === '' ? '' : "<h2>Past</h2>$past";

        return Answer::page(Page::of($request->query['title'] ?? 'Course page', $html, 'Course site'));
    }

    /**
     * On top what is there, then a block a week; what is after an item follows it, wherever that is.
     *
     * @param  list<Posted>  $items
     * @return list<Posted>
     */
    private function inOrder(array $items): array
    {
        $ids = array_map(fn (Posted $one): string => $one->item(), $items);
        $rank = fn (Posted $one): array => [
            $one->block() === 'pinned' ? 0 : 1,
            $one->setting('position') === 'top' ? 0 : 1,
            (int) $one->block(),
        ];
        usort($items, fn (Posted $a, Posted $b): int => $rank($a) <=> $rank($b));
        $out = $following = [];
        foreach ($items as $one) {
            $after = substr((string) strstr($one->setting('position'), ' '), 1);
            // What it stood after is gone: then it is where it would without.
            if ($after !== '' && $after !== $one->item() && in_array($after, $ids, true)) {
                $following[$after][] = $one;
            } else {
                $out[] = $one;
            }
        }
        $all = [];
        foreach ($out as $one) {
            $all = [...$all, $one, ...$following[$one->item()] ?? []];
        }

        return $all;
    }

    private function item(Posted $item, int $at): string
    {
        if ($item->block() !== 'pinned') {
            return '<section><h2>Week '.
                Page::text($item->block()).
                '</h2><h3>'.
                Page::text($item->title()).
                '</h3>'.
                Page::fields($item->without('title', 'week', 'begins')).
                '</section>';
        }
        $turns = $item->field('sessions');
        $next = is_array($turns) ? ['Next' => $this->turn($turns, $at)] : [];

        return '<section class="pinned"><h2>'.
            Page::text($item->title()).
            '</h2>'.
            Page::fields($next + $item->without('title', 'sessions')).
            '</section>';
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
