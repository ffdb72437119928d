<?php

return [
    'name' => 'Nomada',
    'env' => env('APP_ENV', 'production'),
    'debug' => (bool) env('APP_DEBUG', false),
    'url' => env('APP_URL', 'http://127.0.0.1:'.env('NOMADA_PORT', 8080)),
    // Instants are stored and computed in UTC; each term and each person has a zone of their own.
    'timezone' => 'UTC',
    'locale' => 'en',
    // Those that there are words for, the school's own first (NOMADA_LANGUAGE).
    'languages' => array_values(array_unique([(string) env('NOMADA_LANGUAGE', 'en'), 'en', 'es'])),
    'fallback_locale' => 'en',
    'faker_locale' => 'en_GB',
    'cipher' => 'AES-256-CBC',
    'key' => env('APP_KEY'),
    'previous_keys' => array_filter(explode(',', (string) env('APP_PREVIOUS_KEYS', ''))),
    'maintenance' => ['driver' => 'file'],
];
