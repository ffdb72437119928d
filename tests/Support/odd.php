<?php

declare(strict_types=1);

/*
 * A server that does what servers should not: sends us on to another host, and stops in the middle of an answer. Run by
 * PHP's own server with KEPT, a folder in which it notes who came with which password.
 */

$kept = (string) getenv('KEPT');
$path = (string) parse_url((string) $_SERVER['REQUEST_URI'], PHP_URL_PATH);
file_put_contents(
    "$kept/came",
    $_SERVER['HTTP_HOST'].
        $path.
        ' '.
        ($_SERVER['HTTP_AUTHORIZATION'] ?? '-').
        ' '.
        ($_SERVER['HTTP_RANGE'] ?? '-').
        "\n",
    FILE_APPEND,
);
$all = (string) @file_get_contents("$kept/long");
if ($path === '/on') {
    header("Location: http://localhost:$_SERVER[SERVER_PORT]/taken", true, 302);
} elseif ($path === '/cut') {
    $from = (int) preg_replace('/\D/', '', $_SERVER['HTTP_RANGE'] ?? '0');
    http_response_code($from > 0 ? 206 : 200);
    header('Content-Type: video/mp4');
    header('Content-Length: '.(strlen($all) - $from));
    // It says how much there is, and gives a third of it.
    echo substr($all, $from, intdiv(strlen($all), 3) + 1);
} else {
    echo 'here';
}
