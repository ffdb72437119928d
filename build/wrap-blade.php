<?php

// What blade-formatter leaves alone: PHP in braces or in a directive's brackets, and components' tags, that run past the
// margin. They are broken between two tokens, or two attributes, where white space means nothing. Usage: php build/wrap-blade.php FILE ...

const MARGIN = 140;

/**
 * Where a line may be broken: behind a comma or an arrow, before an operator, in PHP and outside its strings.
 *
 * @return list<int> byte offsets
 */
function breaks(string $code, int $offset): array
{
    $out = [];
    $tokens = PhpToken::tokenize("<?php $code");
    array_shift($tokens);
    $before = null;
    foreach ($tokens as $token) {
        $at = $token->pos - 6 + $offset;
        $isOperator = in_array($token->text, ['?', ':', '.', '&&', '||', '??', '+'], true);
        if ($isOperator || in_array($before, [',', '=>', '(', '['], true)) {
            $out[] = $at;
        }
        $before = $token->is(T_WHITESPACE) ? $before : $token->text;
    }

    return $out;
}

foreach (array_slice($argv, 1) as $file) {
    $text = (string) file_get_contents($file);
    // {{ … }}, {!! … !!}, @directive( … ) with its brackets in balance.
    preg_match_all(
        '/\{\{(?!--)(.+?)\}\}|\{!!(.+?)!!\}|(?<![\w@])@\w+\s*\(((?:[^()]++|\((?3)\))*+)\)/su',
        $text,
        $spans,
        PREG_OFFSET_CAPTURE | PREG_SET_ORDER,
    );
    $breaks = [];
    foreach ($spans as $span) {
        [$code, $at] = end($span);
        array_push($breaks, ...breaks($code, $at));
    }
    // Between the attributes of a component's tag.
    preg_match_all('/<x-[\w.:-]+(?:\s+[:@\w.-]+(?:="[^"]*")?)+/su', $text, $tags, PREG_OFFSET_CAPTURE);
    foreach ($tags[0] as [$tag, $at]) {
        preg_match_all('/\s+\K[:@\w.-]+(?:="[^"]*")?/su', $tag, $attributes, PREG_OFFSET_CAPTURE);
        foreach ($attributes[0] as [, $in]) {
            $breaks[] = $at + $in;
        }
    }
    sort($breaks);
    $done = '';
    $start = 0;
    foreach (explode("\n", $text) as $line) {
        $end = $start + strlen($line);
        $indent = substr($line, 0, strspn($line, ' '));
        $from = $start;
        $first = true;
        $own = array_values(array_filter($breaks, fn (int $b): bool => $b > $start + strlen($indent) && $b < $end));
        while (mb_strlen(($first ? '' : "$indent    ").substr($text, $from, $end - $from)) > MARGIN) {
            $room = MARGIN - ($first ? 0 : strlen($indent) + 4);
            $cut = null;
            foreach ($own as $b) {
                if ($b > $from && (mb_strlen(rtrim(substr($text, $from, $b - $from))) <= $room || $cut === null)) {
                    $cut = $b;
                }
            }
            if ($cut === null) {
                break;
            }
            $done .= ($first ? '' : "$indent    ").rtrim(substr($text, $from, $cut - $from))."\n";
            $from = $cut + strspn($text, ' ', $cut);
            $first = false;
        }
        $done .= ($first ? '' : "$indent    ").substr($text, $from, $end - $from)."\n";
        $start = $end + 1;
    }
    $done = substr($done, 0, -1);
    if ($done !== $text) {
        file_put_contents($file, $done);
    }
}
