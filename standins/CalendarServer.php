<?php

declare(strict_types=1);

namespace Nomada\Standins;

use DateTimeImmutable;
use DateTimeZone;
use Sabre\VObject\Component\VCalendar;
use Sabre\VObject\Property\ICalendar\DateTime as Moment;
use Sabre\VObject\Reader;

/**
 * The calendar server: one collection a person, one iCalendar object a resource, with ETags. Its page expands them as
 * any calendar would.
 */
final readonly class CalendarServer
{
    private Documents $documents;

    public function __construct(Store $store)
    {
        $this->documents = new Documents($store, 'calendar');
    }

    /** @param  list<string>  $parts */
    public function answer(Request $request, array $parts): Answer
    {
        [$kind, $person, $object] = $parts + ['', '', ''];
        if ($kind !== 'people' || $person === '') {
            throw new Refusal(404, 'The calendar server has a calendar a person.');
        }
        if ($request->method === 'PROPFIND') {
            return $this->versions($person, $object, $request->header('depth') === '1');
        }
        if ($request->method === 'MKCALENDAR') {
            throw new Refusal(405, 'Everybody has a calendar here.');
        }
        if ($object !== '') {
            if ($request->method === 'PUT' && ! str_starts_with($request->body, 'BEGIN:VCALENDAR')) {
                throw new Refusal(415, 'The iCalendar object is missing.');
            }

            return $this->documents->answer($request, "$person/$object", $person, 'text/calendar');
        }
        $objects = $this->documents->of($person);
        if (! $request->wantsPage()) {
            return Answer::json(200, [
                'person' => $person,
                'objects' => array_map(
                    fn (array $o): array => ['path' => $o['path'], 'etag' => $o['etag']],
                    $objects,
                ),
            ]);
        }

        return Answer::page(
            Page::of(
                $request->query['title'] ?? 'Calendar',
                $this->days($request, array_column($objects, 'body')),
                'Calendar server',
            ),
        );
    }

    /** Versions as RFC 4918 writes them: of one object, of a calendar, or of all in it. */
    private function versions(string $person, string $object, bool $withAll): Answer
    {
        $base = '/calendar/people/'.rawurlencode($person).'/';
        $found = $object === '' ? [[$base, null]] : [];
        foreach ($this->documents->of($person) as $row) {
            $name = substr((string) $row['path'], strlen($person) + 1);
            if ($object === '' ? $withAll : $object === $name) {
                $found[] = [$base.rawurlencode($name), (string) $row['etag']];
            }
        }
        if ($found === []) {
            throw new Refusal(404, 'There is nothing here.');
        }
        $x = new \XMLWriter();
        $x->openMemory();
        $x->startDocument('1.0', 'UTF-8');
        $x->startElementNs('d', 'multistatus', 'DAV:');
        foreach ($found as [$href, $etag]) {
            $x->startElement('d:response');
            $x->writeElement('d:href', $href);
            $x->startElement('d:propstat');
            $x->startElement('d:prop');
            $x->startElement('d:resourcetype');
            if ($etag === null) {
                $x->writeElement('d:collection');
            }
            $x->endElement();
            if ($etag !== null) {
                $x->writeElement('d:getetag', $etag);
            }
            $x->endElement();
            $x->writeElement('d:status', 'HTTP/1.1 200 OK');
            $x->endElement();
            $x->endElement();
        }
        $x->endElement();

        return new Answer(207, $x->outputMemory(), ['Content-Type' => 'application/xml; charset=utf-8']);
    }

    /** @param  array<int, mixed>  $objects */
    private function days(Request $request, array $objects): string
    {
        $zone = new DateTimeZone(
            in_array($request->query['zone'] ?? '', DateTimeZone::listIdentifiers(), true)
                ? $request->query['zone']
                : 'UTC',
        );
        $from = (new DateTimeImmutable('@'.$request->at()))->setTimezone($zone)->setTime(0, 0);
        $rows = [];
        foreach ($objects as $text) {
            $calendar = Reader::read((string) $text);
            if ($calendar instanceof VCalendar) {
                foreach ($calendar->expand($from, $from->modify('+21 days'), $zone)->select('VEVENT') as $event) {
                    [$starts, $ends] = [$event->DTSTART ?? null, $event->DTEND ?? null];
                    if ($starts instanceof Moment && $ends instanceof Moment) {
                        $rows[] = [
                            $starts->getDateTime()->setTimezone($zone),
                            $ends->getDateTime()->setTimezone($zone),
                            (string) ($event->SUMMARY ?? ''),
                            (string) ($event->URL ?? ''),
                        ];
                    }
                }
            }
        }
        usort($rows, fn (array $a, array $b): int => $a[0] <=> $b[0]);
        $html =
            '<p>The next three weeks, on the clock of '.
            Page::text(str_replace('_', ' ', $zone->getName())).
            '.</p>';
        $day = '';
        foreach ($rows as [$starts, $ends, $summary, $url]) {
            if ($starts->format('D j M') !== $day) {
                $html .=
                    ($day === '' ? '' : '</ul>').
                    '<h2>'.
                    ($day = $starts->format('D j M')).
                    '</h2><ul class="day">';
            }
            $html .=
                '<li><b>'.
                $starts->format('H:i').
                '–'.
                $ends->format('H:i').
                '</b> '.
                ($url === ''
                    ? Page::text($summary)
                    : '<a href="'.Page::text($url).'">'.Page::text($summary).'</a>').
                '</li>';
        }

        return $html.($day === '' ? '<p>This calendar is empty.</p>' : '</ul>');
    }
}
