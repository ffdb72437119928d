<?php

declare(strict_types=1);

namespace Nomada\App\Actions\Publishing;

use Illuminate\Support\Facades\DB;
use Nomada\App\Destinations\FieldWords;
use Nomada\App\Models\Term\Section;
use Nomada\App\Queries\SectionFactsQuery;
use Nomada\App\Support\HistoryLine;
use Nomada\App\Support\Say;
use Nomada\Core\Interchange\AtomEntry;
use Nomada\Core\Interchange\AtomFeed;
use Nomada\Core\Language\Said;
use Nomada\Core\Publishing\Place;
use Nomada\Core\Publishing\Placement;
use Nomada\Core\Publishing\WantedPlacements;
use stdClass;

/** The class stream of ours: how to come in, and every change, newest first, at the section's secret address. */
final readonly class SectionStream
{
    private const A_PAGE = 20;

    public function __construct(private SectionFactsQuery $facts)
    {
    }

    /** @param  int  $page  from 1 on */
    public function __invoke(Section $section, string $address, int $page): string
    {
        $facts = SectionFeed::forManyReaders($this->facts->for([$section->id])[$section->id]);
        $language = $facts->showing->language;
        $all = DB::table('series_changes')
            ->where('section_id', $section->id)
            ->whereNull('undone_at')
            ->where('is_for_some', false)
            ->orderByDesc('at')
            ->orderByDesc('id');
        $rows = (clone $all)
            ->offset(self::A_PAGE * ($page - 1))
            ->limit(self::A_PAGE + 1)
            ->get(['id', DB::raw('extract(epoch from at)::bigint as at'), 'words', 'said']);
        $entries = $rows
            ->take(self::A_PAGE)
            ->map(
                fn (stdClass $c): AtomEntry => new AtomEntry(
                    self::tag($section, "change-$c->id"),
                    Say::in($language, new Said('history.changed', ['section' => $facts->title])),
                    Say::in($language, HistoryLine::said($c->words, $c->said)),
                    (int) $c->at,
                ),
            )
            ->all();
        $isLast = $rows->count() <= self::A_PAGE;
        foreach ($isLast ? WantedPlacements::at(Place::ClassStream, $facts) : [] as $placement) {
            // Anybody who has the address reads it: what is for chosen students stands elsewhere.
            if ($placement->key === "$facts->id/opening" && $facts->showing->for === null) {
                $entries[] = $this->opening($section, $placement);
            }
        }

        return AtomFeed::write(
            self::tag($section, 'stream'),
            $facts->title,
            $facts->teacher === '' ? $section->term->school->name : $facts->teacher,
            $page === 1 ? $address : "$address?page=$page",
            array_values($entries),
            $address,
            $isLast ? null : "$address?page=".($page + 1),
        );
    }

    private function opening(Section $section, Placement $placement): AtomEntry
    {
        $lines = [];
        foreach (array_diff_key($placement->read(), ['title' => 1]) as $code => $value) {
            $lines[] =
                FieldWords::of($code, $placement->of, $placement->language).
                ': '.
                (is_array($value) ? implode('; ', $value) : $value);
        }
        $title = $placement->fields['title'];

        return new AtomEntry(
            self::tag($section, 'opening'),
            is_string($title) ? $title : '',
            implode("\n", $lines),
            (int) strtotime((string) $section->created_at),
        );
    }

    /** A tag URI (RFC 4151): ours by our host and the year in which it was. */
    private static function tag(Section $section, string $what): string
    {
        $host = (string) parse_url((string) config('app.url'), PHP_URL_HOST);

        return "tag:$host,2026:sections/".rawurlencode($section->sourced_id)."/$what";
    }
}
