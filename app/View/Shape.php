<?php

declare(strict_types=1);

namespace Nomada\App\View;

use Illuminate\Support\HtmlString;

/**
 * The shapes of states, the same on every screen: published, planned, changed, makeup, past, wrong; in a plan add,
 * change, remove, drift. Each is drawn once a page, as a symbol, and used by name: a board has thousands.
 */
final class Shape
{
    private const SYMBOLS = [
        'published' => '<circle class="s-fill" cx="7" cy="7" r="5"/>',
        'planned' => '<circle class="s-hollow" cx="7" cy="7" r="4.4"/>',
        'changed' => '<circle class="s-ch" cx="7" cy="7" r="4.4"/>'.
            '<path class="s-chf" d="M7 2.6a4.4 4.4 0 0 0 0 8.8z"/>',
        'makeup' => '<path class="s-fill" d="M7 1.5L12.5 7 7 12.5 1.5 7z"/>',
        'wrong' => '<path class="s-x" d="M3 3l8 8m0-8l-8 8"/>',
        'add' => '<circle class="s-plus" cx="7" cy="7" r="4.9"/><path class="s-plus" d="M7 4.6v4.8M4.6 7h4.8"/>',
        'remove' => '<circle class="s-minus" cx="7" cy="7" r="4.9"/><path class="s-minus" d="M4.6 7h4.8"/>',
        'drift' => '<path class="s-tri" d="M7 2l5.4 9.8H1.6z"/>',
        'past' => '<circle class="s-grey" cx="7" cy="7" r="3"/>',
    ];

    private const ALIASES = ['change' => 'changed', 'leave' => 'past'];

    public static function svg(string $is, ?string $label = null): HtmlString
    {
        $name = self::ALIASES[$is] ?? $is;
        $name = isset(self::SYMBOLS[$name]) ? $name : 'past';

        return new HtmlString(
            '<svg class="shape" width="14" height="14" '.
                ($label === null ? 'aria-hidden="true"' : 'role="img" aria-label="'.e($label).'"').
                '><use href="#s-'.
                $name.
                '"/></svg>',
        );
    }

    /** The symbols, once a page. */
    public static function symbols(): HtmlString
    {
        $out = '';
        foreach (self::SYMBOLS as $name => $drawing) {
            $out .= "<symbol id=\"s-$name\" viewBox=\"0 0 14 14\">$drawing</symbol>";
        }

        return new HtmlString($out);
    }
}
