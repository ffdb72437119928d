<?php

use Illuminate\Http\Client\Response;
use Illuminate\Support\Facades\Http;
use Nomada\Core\Joining\Floor;
use Nomada\Core\Joining\FloorRight;
use Symfony\Component\Yaml\Yaml;

/*
 * docs/bridge.openapi.yaml states what a conference service of a school's own has to speak; our stand-in is held to it,
 * so that anybody who follows the document can be spoken to.
 */

/** @return array<string, mixed> */
function bridgeContract(): array
{
    static $read = null;

    return $read ??= (array) Yaml::parseFile(base_path('docs/bridge.openapi.yaml'));
}

/** What a reference leads to. */
function resolved(array $node): array
{
    while (isset($node['$ref'])) {
        $at = bridgeContract();
        foreach (explode('/', substr($node['$ref'], 2)) as $step) {
            $at = $at[$step];
        }
        $node = $at;
    }

    return $node;
}

/** @return list<string> what differs from a schema */
function faultsOf(mixed $value, array $schema, string $at = ''): array
{
    $schema = resolved($schema);
    $is = match (true) {
        $value === null => 'null',
        is_bool($value) => 'boolean',
        is_int($value) => 'integer',
        is_string($value) => 'string',
        is_array($value) &&
            array_is_list($value) &&
            in_array('array', (array) ($schema['type'] ?? []), true) => 'array',
        default => 'object',
    };
    $faults = in_array($is, (array) ($schema['type'] ?? [$is]), true) ? [] : ["$at is $is"];
    if (isset($schema['enum']) && ! in_array($value, $schema['enum'], true)) {
        $faults[] = "$at is ".json_encode($value);
    }
    foreach ($schema['required'] ?? [] as $key) {
        if (! is_array($value) || ! array_key_exists($key, $value)) {
            $faults[] = "$at/$key is missing";
        }
    }
    foreach ($schema['properties'] ?? [] as $key => $of) {
        if (is_array($value) && array_key_exists($key, $value)) {
            $faults = [...$faults, ...faultsOf($value[$key], $of, "$at/$key")];
        }
    }
    foreach (isset($schema['items']) && is_array($value) ? $value : [] as $n => $one) {
        $faults = [...$faults, ...faultsOf($one, $schema['items'], "$at/$n")];
    }

    return $faults;
}

/** Asks the stand-in, and compares what it answers with what the document says of this path and status. */
function asksBridge(
    $test,
    string $path,
    string $method,
    string $actual,
    ?array $body = null,
    array $headers = [],
): Response {
    $operation = bridgeContract()['paths'][$path][strtolower($method)];
    $content = $operation['requestBody']['content']['application/json']['schema'] ?? null;
    if ($body !== null) {
        expect(faultsOf($body, $content))->toBe([]);
    }
    $answer = Http::withToken($test->server->token)
        ->withHeaders($headers)
        ->send($method, $test->server->url.'/bridge'.$actual, $body === null ? [] : ['json' => $body]);
    $says = resolved($operation['responses'][(string) $answer->status()] ?? $operation['responses']['default']);
    $schema = $says['content']['application/json']['schema'] ?? null;
    if ($schema !== null) {
        expect(faultsOf($answer->json(), $schema))->toBe([], "$method $actual");
    }

    return $answer;
}

beforeEach(function () {
    $this->server = $this->standins();
    $this->server->post('/controls/bridge', []);
});

test('every request of the document is answered as it says', function () {
    $room = asksBridge($this, '/rooms', 'POST', '/rooms', ['title' => 'Tides'], ['Idempotency-Key' => 'k-1'])->json(
        'id',
    );
    $again = asksBridge($this, '/rooms', 'POST', '/rooms', ['title' => 'Tides'], ['Idempotency-Key' => 'k-1']);
    expect($again->json('id'))->toBe($room);
    $at = 1_800_000_000;
    foreach ([['T-1', true], ['S-1', false]] as [$person, $host]) {
        $path = asksBridge($this, '/rooms/{room}/people', 'POST', "/rooms/$room/people", [
            'person' => $person,
            'name' => "Name of $person",
            'host' => $host,
            'meeting' => 'm-1',
            'seats' => null,
            'at' => $at,
        ])->json('path');
        $this->server->page($this->server->url.$path);
    }
    asksBridge($this, '/rooms/{room}', 'GET', "/rooms/$room?meeting=m-1");
    foreach (
        [
            'may-unmute' => ['on' => true],
            'chat' => ['on' => true],
            'record' => ['on' => true],
            'say' => ['text' => 'Hello'],
            'mute' => [],
            'end' => [],
        ] as $act => $with
    ) {
        $answer = asksBridge(
            $this,
            '/rooms/{room}/acts',
            'POST',
            "/rooms/$room/acts",
            ['act' => $act, 'meeting' => 'm-1', 'at' => $at + 60] + $with,
        );
        expect($answer->status())->toBe(200, "$act: ".$answer->body());
    }
    asksBridge($this, '/rooms/{room}/events', 'GET', "/rooms/$room/events?meeting=m-1&after=0");
    $recordings = asksBridge($this, '/rooms/{room}/recordings', 'GET', "/rooms/$room/recordings?meeting=m-1")->json(
        'recordings',
    );
    expect($recordings)->toHaveCount(1);
});

test('a refusal has words', function () {
    expect(asksBridge($this, '/rooms', 'POST', '/rooms', ['title' => 'No key'])->status())->toBe(400);
    expect(asksBridge($this, '/rooms/{room}', 'GET', '/rooms/none?meeting=m')->status())->toBe(404);
});

test('the document names every act that we ask for, and no other', function () {
    $acts = bridgeContract()['paths']['/rooms/{room}/acts']['post']['requestBody']['content']['application/json'][
        'schema'
    ]['properties']['act']['enum'];
    $source = (string) file_get_contents(
        (string) (new ReflectionClass(Nomada\App\Destinations\ConferenceBridge::class))->getFileName(),
    );
    preg_match('/What a host does: ([^.]+)\./', (string) preg_replace('/\s*\n\s*\*\s*/', ' ', $source), $m);
    expect($acts)->toEqualCanonicalizing(array_map(trim(...), explode(',', $m[1])));
});

test('the document says each right of the floor, who can have it, and nothing else', function () {
    $said = array_map(
        fn (array $of): mixed => $of['enum'] ?? $of['type'],
        bridgeContract()['components']['schemas']['Floor']['properties'],
    );
    $rights = [];
    foreach (FloorRight::cases() as $right) {
        $rights[$right->value] = array_column($right->choices(), 'value');
    }
    $limits = ['muted_on_entry' => 'boolean', 'speakers' => ['integer', 'null'], 'cameras' => ['integer', 'null']];
    expect($said)
        ->toBe($rights + $limits)
        ->and(array_keys((new Floor())->toArray()))
        ->toBe(array_keys($said));
});

/** What somebody inside does with a right. */
const WITH_A_RIGHT = [
    'speak' => ['do' => 'mic', 'on' => true],
    'camera' => ['do' => 'camera', 'on' => true],
    'chat' => ['do' => 'say', 'text' => 'Hello'],
    'screen' => ['do' => 'window', 'title' => 'Tides'],
    'draw' => ['do' => 'mark', 'kind' => 'line', 'points' => [[1, 1], [9, 9]]],
];

test('the demo bridge obeys each right, with and without the floor', function (string $right) {
    $room = asksBridge(
        $this,
        '/rooms',
        'POST',
        '/rooms',
        ['title' => 'Tides'],
        ['Idempotency-Key' => $right],
    )->json('id');
    $at = 1_800_000_000;
    $status = function (string $who, bool $hasFloor) use ($room, $right, $at): int {
        $person = "S-$who-".(int) $hasFloor;
        $path = asksBridge($this, '/rooms/{room}/people', 'POST', "/rooms/$room/people", [
            'person' => $person,
            'name' => $person,
            'host' => false,
            'meeting' => 'm-1',
            'seats' => null,
            'floor' => [$right => $who] + (new Floor())->toArray(),
            'at' => $at,
        ])->json('path');
        $this->server->page($this->server->url.$path);
        if ($hasFloor) {
            $give = ['act' => 'give-floor', 'meeting' => 'm-1', 'at' => $at, 'person' => $person];
            asksBridge($this, '/rooms/{room}/acts', 'POST', "/rooms/$room/acts", $give);
        }

        return $this->server->does($this->server->url.$path, WITH_A_RIGHT[$right])->status();
    };
    expect([$status('everyone', false), $status('host', false), $status('nobody', false)])
        ->toBe([200, 403, 403])
        ->and([$status('host', true), $status('nobody', true)])
        ->toBe([200, 403]);
})->with(array_keys(WITH_A_RIGHT));

test('every right of the floor is tried at the demo bridge', function () {
    $tried = [...array_keys(WITH_A_RIGHT), FloorRight::Record->value];
    expect(array_column(FloorRight::cases(), 'value'))->toBe($tried);
});
