<?php

// The router of PHP's own server: files of public/ as they are, everything else through the application.
$path = urldecode((string) parse_url((string) $_SERVER['REQUEST_URI'], PHP_URL_PATH));
// What is no page names no icon, and a browser asks for this one.
$path = $path === '/favicon.ico' ? '/icon.svg' : $path;
$file = __DIR__.'/public'.$path;
$types = [
    'css' => 'text/css; charset=utf-8',
    'js' => 'text/javascript; charset=utf-8',
    'svg' => 'image/svg+xml',
    'txt' => 'text/plain; charset=utf-8',
    'woff' => 'font/woff',
    'woff2' => 'font/woff2',
];

if ($path !== '/' && ! str_contains($path, '..') && is_file($file)) {
    $type = $types[pathinfo($file, PATHINFO_EXTENSION)] ?? null;
    if ($type === null) {
        return false;
    }
    // PHP's own server says nothing of keeping, and a browser that is told nothing fetches styles, scripts and fonts
    // for every page anew. What is built has its contents in its name, and never changes under it.
    $keeping = str_starts_with($path, '/build/assets/') ? 'max-age=31536000, immutable' : 'max-age=600';
    header("Content-Type: $type");
    header("Cache-Control: public, $keeping");
    header('Content-Length: '.filesize($file));
    header('X-Content-Type-Options: nosniff');
    readfile($file);

    return true;
}

require __DIR__.'/public/index.php';
