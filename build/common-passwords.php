<?php

declare(strict_types=1);

/**
 * Lays out the list of common passwords of the package @zxcvbn-ts/language-common as PHP, which the interpreter keeps
 * in memory: those that are not too short anyway, or that a longer one is made of.
 */
$from = dirname(__DIR__).'/node_modules/@zxcvbn-ts/language-common/src/passwords.json';
$all = json_decode((string) file_get_contents($from), true, 3, JSON_THROW_ON_ERROR);
$list = array_fill_keys(
    array_filter(array_map(strval(...), $all), fn (string $p): bool => strlen($p) >= 5),
    true,
);
file_put_contents(
    dirname(__DIR__).'/bootstrap/cache/common-passwords.php',
    '<?php return '.var_export($list, true).";\n",
);
