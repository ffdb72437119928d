<?php

declare(strict_types=1);

namespace Nomada\Core\Interchange;

use XMLWriter;

/**
 * A section's course page as a Common Cartridge (1EdTech, Common Cartridge 1.3): a folder a week, sessions and
 * recordings as web links. What it needs beside the links is written here: the manifest with its metadata, one
 * organization, and one resource of type imswl_xmlv1p3 a link.
 */
final class CommonCartridge
{
    private const MANIFEST = 'http://www.imsglobal.org/xsd/imsccv1p3/imscp_v1p1';

    private const LOM = 'http://ltsc.ieee.org/xsd/imsccv1p3/LOM/manifest';

    private const LINK = 'http://www.imsglobal.org/xsd/imsccv1p3/imswl_v1p3';

    /**
     * @param  string  $id  its own among all cartridges of the school
     * @param  list<CartridgeFolder>  $folders
     * @return array<string, string> files by name
     */
    public static function files(string $id, string $title, string $language, array $folders): array
    {
        $links = [];
        foreach ($folders as $f => $folder) {
            foreach ($folder->links as $l => $link) {
                $links["f$f-l$l"] = $link;
            }
        }
        $files = ['imsmanifest.xml' => self::manifest($id, $title, $language, $folders, $links)];
        foreach ($links as $key => $link) {
            $files["links/$key.xml"] = self::link($link);
        }

        return $files;
    }

    /**
     * @param  list<CartridgeFolder>  $folders
     * @param  array<string, CartridgeLink>  $links
     */
    private static function manifest(
        string $id,
        string $title,
        string $language,
        array $folders,
        array $links,
    ): string {
        $x = self::begin();
        $x->startElementNs(null, 'manifest', self::MANIFEST);
        $x->writeAttribute('identifier', self::identifier("m-$id"));
        $x->writeAttribute('xmlns:lomimscc', self::LOM);
        $x->startElement('metadata');
        $x->writeElement('schema', 'IMS Common Cartridge');
        $x->writeElement('schemaversion', '1.3.0');
        $x->startElement('lomimscc:lom');
        $x->startElement('lomimscc:general');
        $x->startElement('lomimscc:title');
        $x->startElement('lomimscc:string');
        $x->writeAttribute('language', $language);
        $x->text($title);
        foreach (range(1, 5) as $_) {
            $x->endElement();
        }
        $x->startElement('organizations');
        $x->startElement('organization');
        $x->writeAttribute('identifier', 'weeks');
        $x->writeAttribute('structure', 'rooted-hierarchy');
        // The root item has no title of its own (Common Cartridge 1.3, organization).
        $x->startElement('item');
        $x->writeAttribute('identifier', 'root');
        foreach ($folders as $f => $folder) {
            $x->startElement('item');
            $x->writeAttribute('identifier', "f$f");
            $x->writeElement('title', $folder->title);
            foreach ($folder->links as $l => $link) {
                $x->startElement('item');
                $x->writeAttribute('identifier', "i-f$f-l$l");
                $x->writeAttribute('identifierref', "r-f$f-l$l");
                $x->writeElement('title', $link->title);
                $x->endElement();
            }
            $x->endElement();
        }
        $x->endElement();
        $x->endElement();
        $x->endElement();
        $x->startElement('resources');
        foreach (array_keys($links) as $key) {
            $x->startElement('resource');
            $x->writeAttribute('identifier', "r-$key");
            $x->writeAttribute('type', 'imswl_xmlv1p3');
            $x->startElement('file');
            $x->writeAttribute('href', "links/$key.xml");
            $x->endElement();
            $x->endElement();
        }
        $x->endElement();
        $x->endElement();

        return $x->outputMemory();
    }

    private static function link(CartridgeLink $link): string
    {
        $x = self::begin();
        $x->startElementNs(null, 'webLink', self::LINK);
        $x->writeElement('title', $link->title);
        $x->startElement('url');
        $x->writeAttribute('href', $link->address);
        $x->writeAttribute('target', '_blank');
        $x->endElement();
        $x->endElement();

        return $x->outputMemory();
    }

    private static function begin(): XMLWriter
    {
        $x = new XMLWriter();
        $x->openMemory();
        $x->startDocument('1.0', 'UTF-8');

        return $x;
    }

    /** An xs:ID: letters, digits, hyphens, dots and underscores. */
    private static function identifier(string $text): string
    {
        return (string) preg_replace('/[^A-Za-z0-9._-]+/', '-', $text);
    }
}
