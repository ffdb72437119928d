<?php

// The router of PHP's own server: files of public/ as they are, everything else through the application.
$path = urldecode((string) parse_url((string) $_SERVER['REQUEST_URI'], PHP_URL_PATH));

if ($path !== '/' && is_file(__DIR__.'/public'.$path) && ! str_contains($path, '..')) {
    return false;
}

require __DIR__.'/public/index.php';
