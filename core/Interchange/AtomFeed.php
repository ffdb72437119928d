<?php

declare(strict_types=1);

namespace Nomada\Core\Interchange;

use XMLWriter;

/** Writes a feed as Atom (RFC 4287), in pages (RFC 5005, 3). Identifiers are tag URIs (RFC 4151). */
final class AtomFeed
{
    /**
     * @param  string  $id  a registered kind of URI that never changes
     * @param  string  $self  where this page of the feed is
     * @param  list<AtomEntry>  $entries  newest first
     * @param  string|null  $next  where older entries are
     */
    public static function write(
        string $id,
        string $title,
        string $author,
        string $self,
        array $entries,
        string $first,
        ?string $next = null,
    ): string {
        $x = new XMLWriter();
        $x->openMemory();
        $x->startDocument('1.0', 'UTF-8');
        $x->startElementNs(null, 'feed', 'http://www.w3.org/2005/Atom');
        $x->writeElement('id', $id);
        $x->writeElement('title', self::text($title));
        $x->writeElement('updated', self::stamp(max([0, ...array_map(fn (AtomEntry $e): int => $e->at, $entries)])));
        $x->startElement('author');
        $x->writeElement('name', self::text($author));
        $x->endElement();
        foreach (array_filter(['self' => $self, 'first' => $first, 'next' => $next]) as $rel => $href) {
            $x->startElement('link');
            $x->writeAttribute('rel', $rel);
            $x->writeAttribute('type', 'application/atom+xml');
            $x->writeAttribute('href', $href);
            $x->endElement();
        }
        foreach ($entries as $entry) {
            $x->startElement('entry');
            $x->writeElement('id', $entry->id);
            $x->writeElement('title', self::text($entry->title));
            $x->writeElement('updated', self::stamp($entry->at));
            $x->startElement('content');
            $x->writeAttribute('type', 'text');
            $x->text(self::text($entry->text));
            $x->endElement();
            $x->endElement();
        }
        $x->endElement();

        return $x->outputMemory();
    }

    /** What XML 1.0 has no characters for is left out. */
    private static function text(string $text): string
    {
        return (string) preg_replace(
            '/[^\x{9}\x{A}\x{D}\x{20}-\x{D7FF}\x{E000}-\x{FFFD}\x{10000}-\x{10FFFF}]/u',
            '',
            $text,
        );
    }

    private static function stamp(int $at): string
    {
        return gmdate('Y-m-d\TH:i:s\Z', $at);
    }
}
