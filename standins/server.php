<?php

declare(strict_types=1);

// The stand-ins' own process: php -S 127.0.0.1:PORT standins/server.php. They know nothing of app/ or core/, and are
// reached over HTTP only.

use Nomada\Standins\Server;

error_reporting(E_ALL & ~E_DEPRECATED);
require __DIR__.'/../vendor/autoload.php';

if (PHP_SAPI === 'cli-server') {
    (new Server(getenv('STANDINS_TOKEN') ?: ''))->serve();
}
