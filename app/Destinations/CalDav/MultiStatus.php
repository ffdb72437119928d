<?php

declare(strict_types=1);

namespace Nomada\App\Destinations\CalDav;

use DOMDocument;
use DOMElement;
use DOMXPath;

/** A multi-status answer (RFC 4918, 13): what was found at each address. */
final readonly class MultiStatus
{
    private const NAMES = [
        'd' => 'DAV:',
        'c' => 'urn:ietf:params:xml:ns:caldav',
    ];

    /** @param  array<string, array<string, string>>  $found  by address: a property's text (of an address its href) */
    private function __construct(public array $found)
    {
    }

    /**
     * @param  list<string>  $properties  like `d:getetag`
     * @return self|null null where it is no such answer
     */
    public static function read(string $xml, array $properties): ?self
    {
        $paths = self::paths($xml);
        $root = $paths === null ? null : self::first($paths, '/d:multistatus');
        if ($paths === null || $root === null) {
            return null;
        }
        $found = [];
        foreach ($paths->query('d:response', $root) ?: [] as $response) {
            if (! ($response instanceof DOMElement)) {
                continue;
            }
            $href = self::text($paths, 'd:href', $response);
            // A server may say that something is missing within an answer that is good as a whole (RFC 4918, 9.1.2).
            $status = self::text($paths, 'd:status', $response);
            if ($href === null || ($status !== null && preg_match('/ (404|410)\b/', $status) === 1)) {
                continue;
            }
            $own = [];
            foreach ($properties as $property) {
                // Only what is in a part that says 200: the others name what there is not.
                $at = "d:propstat[contains(d:status, ' 200')]/d:prop/$property";
                // Of several addresses of somebody the one that mail goes to.
                $value =
                    self::text($paths, "$at/d:href[starts-with(., 'mailto:')]", $response) ??
                    (self::text($paths, "$at/d:href", $response) ?? self::text($paths, $at, $response));
                if ($value !== null) {
                    $own[$property] = $value;
                }
            }
            if (self::first($paths, './/d:resourcetype/d:collection', $response) !== null) {
                $own['is-collection'] = '1';
            }
            $found[$href] = $own;
        }

        return new self($found);
    }

    /** The precondition that an error names (RFC 4918, 16), like `valid-calendar-data`; null where it names none. */
    public static function precondition(string $xml): ?string
    {
        foreach (self::paths($xml)?->query('/d:error/*') ?: [] as $node) {
            return (string) $node->localName;
        }

        return null;
    }

    private static function paths(string $xml): ?DOMXPath
    {
        $document = new DOMDocument();
        $before = libxml_use_internal_errors(true);
        // A server is not trusted with our files: no network, no entities.
        $isRead = $xml !== '' && $document->loadXML($xml, LIBXML_NONET);
        libxml_clear_errors();
        libxml_use_internal_errors($before);
        if (! $isRead || $document->doctype !== null) {
            return null;
        }
        $paths = new DOMXPath($document);
        foreach (self::NAMES as $prefix => $uri) {
            $paths->registerNamespace($prefix, $uri);
        }

        return $paths;
    }

    private static function text(DOMXPath $paths, string $query, DOMElement $in): ?string
    {
        $node = self::first($paths, $query, $in);

        return $node === null ? null : trim($node->textContent);
    }

    private static function first(DOMXPath $paths, string $query, ?DOMElement $in = null): ?DOMElement
    {
        $nodes = $paths->query($query, $in);
        $node = $nodes === false ? null : $nodes->item(0);

        return $node instanceof DOMElement ? $node : null;
    }
}
