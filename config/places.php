<?php

/*
 * Where each service outside is, as long as the page Places says nothing else. KIND is `stand-in` by default; see
 * docs/services.md for the others. Without a USER the PASSWORD is sent as a bearer token.
 */
$of = fn (string $service): array => [
    'kind' => env("{$service}_KIND", 'stand-in'),
    'url' => env("{$service}_URL", ''),
    'user' => env("{$service}_USER", ''),
    'password' => env("{$service}_PASSWORD", ''),
    'pace' => (string) env("{$service}_PACE", ''),
    'timeout' => (string) env("{$service}_TIMEOUT", ''),
];

return [
    'bridge' => $of('BRIDGE'),
    'course' => $of('COURSE'),
    'calendar' => $of('CALENDAR'),
    'stream' => $of('STREAM'),
    'post' => $of('POST'),
    // A Maildir in which answers to invitations arrive; none by default.
    'replies' => (string) env('POST_REPLIES', ''),
    // Whose pages may show ours in a frame (CSP frame-ancestors), separated by spaces; nobody's by default.
    'embedded_in' => (string) env('NOMADA_EMBEDDED_IN', ''),
];
