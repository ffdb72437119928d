<?php

use Nomada\App\Models\Term\Person;

return [
    'defaults' => ['guard' => 'web', 'passwords' => 'people'],
    'guards' => ['web' => ['driver' => 'session', 'provider' => 'people', 'remember' => 30 * 24 * 60]],
    'providers' => ['people' => ['driver' => 'people', 'model' => Person::class]],
    'passwords' => [],
    'password_timeout' => 10800,
];
