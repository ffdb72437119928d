<?php

declare(strict_types=1);

namespace Tests\Support;

use PhpToken;
use RecursiveDirectoryIterator;
use RecursiveIteratorIterator;

/** What a folder of PHP names: read as tokens, since loading all of it to ask it takes a minute. */
final class Tokens
{
    /** @var array<string, array<string, string>> by folder and file */
    private static array $read = [];

    /**
     * What of it lies under a namespace, or is a function, of those that are given.
     *
     * @param  list<string>  $namespaces
     * @param  list<string>  $functions
     * @return list<string> `core/Term/Zone.php: time`
     */
    public static function naming(string $folder, array $namespaces, array $functions = []): array
    {
        $found = [];
        foreach (self::files($folder) as $file => $code) {
            $tokens = array_values(
                array_filter(PhpToken::tokenize($code), fn (PhpToken $t): bool => ! $t->isIgnorable()),
            );
            foreach ($tokens as $i => $token) {
                $name = ltrim($token->text, '\\');
                $isPath =
                    $token->is([T_NAME_QUALIFIED, T_NAME_FULLY_QUALIFIED]) ||
                    ($token->is(T_STRING) && ($tokens[$i - 1] ?? null)?->is(T_USE) === true);
                foreach ($isPath ? $namespaces : [] as $namespace) {
                    if ($name === $namespace || str_starts_with($name, "$namespace\\")) {
                        $found[] = "$file: $name";
                    }
                }
                $isCall =
                    $token->is([T_STRING, T_NAME_FULLY_QUALIFIED]) &&
                    ($tokens[$i + 1] ?? null)?->text === '(' &&
                    ! in_array($tokens[$i - 1]->text ?? '', ['->', '?->', '::', 'function', 'new'], true);
                if ($isCall && in_array(strtolower($name), $functions, true)) {
                    $found[] = "$file: $name";
                }
            }
        }

        return $found;
    }

    /** @return array<string, string> by path */
    public static function files(string $folder): array
    {
        if (! isset(self::$read[$folder])) {
            $root = dirname(__DIR__, 2);
            self::$read[$folder] = [];
            foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator("$root/$folder")) as $file) {
                if ($file->getExtension() === 'php') {
                    self::$read[$folder][substr("$file", strlen($root) + 1)] = (string) file_get_contents("$file");
                }
            }
        }

        return self::$read[$folder];
    }
}
