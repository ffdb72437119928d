<?php

/*
 * A calendar server that schedules (RFC 6638), as far as we use it: Radicale, with what it has not put in front of it.
 * It says that it invites and by which address; keeps for each object a Schedule-Tag that answers do not change; takes
 * a change of ours by that tag, with the answers that have come; and writes down whom it invites.
 *
 * Run by PHP's own server with BEHIND (Radicale's address) and KEPT (a folder).
 */

$behind = (string) getenv('BEHIND');
$kept = (string) getenv('KEPT');
$path = (string) $_SERVER['REQUEST_URI'];
$method = (string) $_SERVER['REQUEST_METHOD'];
$body = (string) file_get_contents('php://input');
$headers = getallheaders();

/** @param  array<string, string>  $headers */
$ask = function (string $method, array $headers, string $body) use ($behind, $path): array {
    unset($headers['Host'], $headers['Content-Length'], $headers['Connection']);
    $lines = array_map(fn (string $k, string $v): string => "$k: $v", array_keys($headers), $headers);
    $answer = (string) @file_get_contents(
        $behind.$path,
        false,
        stream_context_create([
            'http' => ['method' => $method, 'header' => $lines, 'content' => $body, 'ignore_errors' => true],
        ]),
    );

    return [$answer, $http_response_header];
};
$tagFile = "$kept/".sha1($path);
$answers = fn (string $object): array => preg_match_all('/^ATTENDEE[^\r\n]*(?:\r\n [^\r\n]*)*/m', $object, $m) > 0
    ? $m[0]
    : [];

if ($method === 'PROPFIND' && str_contains($body, 'calendar-user-address-set')) {
    header('Content-Type: application/xml', true, 207);
    echo '<d:multistatus xmlns:d="DAV:" xmlns:c="urn:ietf:params:xml:ns:caldav"><d:response><d:href>/</d:href>',
    '<d:propstat><d:prop><c:calendar-user-address-set><d:href>/principals/nomada/</d:href>',
    '<d:href>mailto:timetable@school.example</d:href></c:calendar-user-address-set></d:prop>',
    '<d:status>HTTP/1.1 200 OK</d:status></d:propstat></d:response></d:multistatus>';

    return true;
}
if ($method === 'PUT') {
    $tag = $headers['If-Schedule-Tag-Match'] ?? null;
    unset($headers['If-Schedule-Tag-Match']);
    if ($tag !== null) {
        if ($tag !== @file_get_contents($tagFile)) {
            http_response_code(412);

            return true;
        }
        // What has been answered stays (RFC 6638, 3.2.10).
        [$standing] = $ask('GET', ['Authorization' => $headers['Authorization'] ?? ''], '');
        $body = (string) preg_replace(
            '/^ATTENDEE[^\r\n]*(?:\r\n [^\r\n]*)*/m',
            $answers($standing)[0] ?? '$0',
            $body,
        );
    }
    $about =
        '"'.sha1((string) preg_replace('/^ATTENDEE[^\r\n]*(?:\r\n [^\r\n]*)*|^DTSTAMP.*$/m', '', $body)).'"';
}
[$answer, $said] = $ask($method, $headers, $body);
foreach ($said as $n => $line) {
    $n === 0 ? http_response_code((int) explode(' ', $line)[1]) : header($line, false);
}
if ($method === 'OPTIONS') {
    header('DAV: 1, 2, 3, calendar-access'.(is_file("$kept/none") ? '' : ', calendar-auto-schedule'), true);
}
if ($method === 'PUT' && isset($about) && http_response_code() < 300) {
    file_put_contents($tagFile, $about);
    header("Schedule-Tag: $about");
    // What it keeps may not be what was sent (RFC 4791, 5.3.4).
    header_remove('ETag');
    foreach ($answers($body) as $line) {
        file_put_contents("$kept/invited", str_replace("\r\n ", '', $line)."\n", FILE_APPEND);
    }
}
echo $answer;

return true;
