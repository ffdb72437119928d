<?php

// What Prettier leaves alone: comments and strings that run past the margin. Usage: php build/wrap.php FILE ...
// A comment is filled anew from its long line on; a string is cut at a blank and joined again; SQL is broken where
// it has a blank, which means nothing there. Other texts whose blanks mean something (heredocs) stay as they are.

const MARGIN = 120;

/**
 * Breaks prose at blanks so that no part is longer than `$width`; a word that is longer stays whole.
 *
 * @return list<string>
 */
function fill(string $text, int $width): array
{
    $out = [];
    while (mb_strlen($text) > $width) {
        $at = mb_strrpos(mb_substr($text, 0, $width + 1), ' ');
        $at = $at === false || trim(mb_substr($text, 0, $at)) === '' ? mb_strpos($text, ' ', $width) : $at;
        if ($at === false) {
            break;
        }
        // A key stays with its type: `term: string`.
        $before = mb_strrpos(mb_substr($text, 0, $at), ' ');
        $at = mb_substr($text, $at - 1, 1) === ':' && $before !== false ? $before : $at;
        $out[] = rtrim(mb_substr($text, 0, $at));
        $text = ltrim(mb_substr($text, $at));
    }
    $out[] = $text;

    return $out;
}

/** What stands before a token on its own line. */
function lineSoFar(string $done): string
{
    $at = strrpos($done, "\n");

    return $at === false ? $done : substr($done, $at + 1);
}

function indentOf(string $line): string
{
    return substr($line, 0, strspn($line, ' '));
}

function wrapComment(string $text, string $done): string
{
    $line = lineSoFar($done);
    $indent = indentOf($line);
    if (! str_contains($text, "\n")) {
        if (mb_strlen($line.$text) <= MARGIN || ! str_starts_with($text, '/**')) {
            return $text;
        }
        $text = "/**\n$indent * ".trim(substr($text, 3, -2))."\n$indent */";
    }
    $out = [];
    $carry = '';
    foreach (explode("\n", $text) as $n => $row) {
        $isProse = preg_match('/^(\s*\* ?)(\s*)(.*)$/u', $row, $m) === 1 && ! str_ends_with($row, '*/');
        $goesOn = $isProse && $m[3] !== '' && ! preg_match('/^([@`{|*-]|\d+\.)/', $m[3]);
        if ($carry !== '' && $goesOn) {
            $m[3] = "$carry $m[3]";
        } elseif ($carry !== '') {
            $out[] = $hang.$carry;
        }
        $carry = '';
        if (! $isProse || mb_strlen($n === 0 ? $line.$row : $m[1].$m[2].$m[3]) <= MARGIN) {
            $out[] = $isProse ? $m[1].$m[2].$m[3] : $row;

            continue;
        }
        // A tag's text goes on under itself.
        $hang = $m[1].(str_starts_with($m[3], '@') ? '  ' : $m[2]);
        $parts = fill($m[3], MARGIN - mb_strlen($hang));
        $carry = count($parts) > 1 ? (string) array_pop($parts) : '';
        array_push($out, $m[1].$m[2].array_shift($parts), ...array_map(fn ($p) => $hang.$p, $parts));
    }

    return implode("\n", $out);
}

/** Rows of SQL: a blank means as much as a line break. */
function wrapSql(string $text): string
{
    return implode("\n", array_map(function (string $row): string {
        $indent = indentOf($row);

        // A remark ends with its line.
        if (mb_strlen($row) <= MARGIN || str_contains($row, '-- ')) {
            return $row;
        }

        return $indent.implode("\n$indent    ", fill(ltrim($row), MARGIN - strlen($indent) - 4));
    }, explode("\n", $text)));
}

function isSql(string $text): bool
{
    $begins = 'select|insert into|update|delete from|with|create|exists|case when|coalesce|string_agg|[\w.]+ (not )?in';

    return (bool) preg_match("/^\W*($begins)\b/i", $text)
        && preg_match('/\b(from|when|where|set|on|values|filter)\b/', $text);
}

/** One string token, or the pieces of one with values in it, cut at blanks. */
function wrapString(string $text, string $done): string
{
    $line = lineSoFar($done);
    $quote = $text[0];
    if (str_contains($text, "\n")) {
        return isSql(substr($text, 1)) ? substr(wrapSql($line.$text), strlen($line)) : $text;
    }
    if (mb_strlen($line.$text) <= MARGIN) {
        return $text;
    }
    $indent = indentOf($line);
    if (isSql(substr($text, 1))) {
        $parts = fill(substr($text, 1, -1), MARGIN - 4 - max(mb_strlen($line), strlen($indent) + 4));

        return $quote.implode("\n$indent    ", $parts).$quote;
    }
    $out = [];
    $rest = substr($text, 1, -1);
    $room = MARGIN - mb_strlen($line) - 4;
    while (mb_strlen($rest) > $room) {
        $cut = null;
        // The last blank that is neither in an interpolated expression nor behind a backslash.
        $depth = 0;
        $chars = mb_str_split($rest);
        for ($i = 0; $i < count($chars) && ($i <= $room || $cut === null); $i++) {
            $depth += $quote === '"' && $chars[$i] === '{' && ($chars[$i + 1] ?? '') === '$' ? 1 : 0;
            $depth -= $depth > 0 && $chars[$i] === '}' ? 1 : 0;
            $escapes = $chars[$i] === '\\' && $quote === '"' && ($chars[$i + 1] ?? '') === 'n';
            if ($depth === 0 && ($chars[$i] === ' ' || $escapes)) {
                $cut = $i + ($escapes ? 2 : 1);
            }
        }
        if ($cut === null || $cut >= count($chars)) {
            break;
        }
        $out[] = implode('', array_slice($chars, 0, $cut));
        $rest = implode('', array_slice($chars, $cut));
        $room = MARGIN - strlen($indent) - 8;
    }
    $out[] = $rest;

    return implode("\n$indent    .", array_map(fn (string $p): string => $quote.$p.$quote, $out));
}

/** A remark of one or more `//` lines is one paragraph. */
function wrapRemarks(string $code): string
{
    return (string) preg_replace_callback('/^( *)\/\/ .*(?:\n\1\/\/ .*)*$/mu', function (array $m): string {
        $rows = explode("\n", $m[0]);
        if (max(array_map(mb_strlen(...), $rows)) <= MARGIN) {
            return $m[0];
        }
        $text = implode(' ', array_map(fn (string $row): string => trim(substr(trim($row), 2)), $rows));

        return "$m[1]// ".implode("\n$m[1]// ", fill($text, MARGIN - strlen($m[1]) - 3));
    }, $code);
}

foreach (array_slice($argv, 1) as $file) {
    $whole = (string) file_get_contents($file);
    $code = wrapRemarks($whole);
    if (str_ends_with($file, '.js')) {
        $code === $whole || file_put_contents($file, $code);

        continue;
    }
    $tokens = PhpToken::tokenize($code);
    $done = '';
    for ($i = 0; $i < count($tokens); $i++) {
        $token = $tokens[$i];
        if ($token->is([T_COMMENT, T_DOC_COMMENT])) {
            $done .= wrapComment($token->text, $done);
        } elseif ($token->is(T_CONSTANT_ENCAPSED_STRING)) {
            $done .= wrapString($token->text, $done);
        } elseif ($token->text === '"') {
            $whole = '"';
            while ($tokens[++$i]->text !== '"') {
                $whole .= $tokens[$i]->text;
            }
            $done .= wrapString($whole.'"', $done);
        } elseif ($token->is(T_ENCAPSED_AND_WHITESPACE)) {
            $isSql = preg_match('/\b(select|from|where|create table)\b/', $token->text)
                && ! str_contains($token->text, 'BEGIN:');
            $done .= $isSql ? wrapSql($token->text) : $token->text;
        } else {
            $done .= $token->text;
        }
    }
    if ($done !== $whole) {
        file_put_contents($file, $done);
    }
}
