<?php

declare(strict_types=1);

// The router of a copy that tests drive (NOMADA_ROUTER). A request with the header X-Dies-At ends fatally, by memory or
// time (X-Dies-Of), when that class is first loaded: in the middle of what it does.

if (isset($_SERVER['HTTP_X_DIES_AT'])) {
    require_once __DIR__.'/../../vendor/autoload.php';
    spl_autoload_register(function (string $class): void {
        if ($class !== $_SERVER['HTTP_X_DIES_AT']) {
            return;
        }
        if (($_SERVER['HTTP_X_DIES_OF'] ?? '') === 'time') {
            set_time_limit(1);
            while (true) {
                hash('sha256', 'x');
            }
        }
        ini_set('memory_limit', '48M');
        str_repeat('x', 1 << 27);
    }, prepend: true);
}

return require __DIR__.'/../../server.php';
