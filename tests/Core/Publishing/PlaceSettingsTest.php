<?php

use Nomada\Core\Fault;
use Nomada\Core\Publishing\ExternalService;
use Nomada\Core\Publishing\Place;
use Nomada\Core\Publishing\PlaceKind;
use Nomada\Core\Publishing\PlaceSettings;
use Tests\Support\English;

/** @param  array<string, string>  $with */
function typedPlace(array $with = [], ExternalService $service = ExternalService::Calendar): PlaceSettings
{
    return PlaceSettings::typed(
        ...[
            'service' => $service,
            'kind' => 'caldav',
            'url' => 'https://calendar.example',
            'user' => 'nomada',
            'password' => 'secret',
            'pace' => '',
            'timeout' => '',
            ...$with,
        ],
    );
}

test('what each service can be, and where it is published to', function (
    ExternalService $service,
    array $kinds,
    ?Place $destination,
) {
    expect(array_map(fn (PlaceKind $k): string => $k->value, $service->kinds()))
        ->toBe($kinds)
        ->and($service->destination())
        ->toBe($destination);
    if ($destination !== null) {
        expect(ExternalService::of($destination))->toBe($service);
    }
})->with([
    [ExternalService::Bridge, ['stand-in', 'own-service', 'known-rooms'], null],
    [ExternalService::Course, ['stand-in', 'own-service', 'our-page'], Place::CoursePage],
    [ExternalService::Calendar, ['stand-in', 'caldav', 'caldav-invites', 'our-page'], Place::Calendar],
    [ExternalService::Stream, ['stand-in', 'own-service', 'our-page'], Place::ClassStream],
    [ExternalService::Post, ['stand-in', 'smtp'], null],
]);

test('which kinds are spoken to, and by which schemes', function () {
    $asked = array_filter(PlaceKind::cases(), fn (PlaceKind $k): bool => ! $k->isAsked());
    expect(array_values($asked))
        ->toBe([PlaceKind::KnownRooms, PlaceKind::OurPage])
        ->and(PlaceKind::Smtp->schemes())
        ->toBe(['smtp', 'smtps'])
        ->and(PlaceKind::CalDav->schemes())
        ->toBe(['https', 'http']);
});

test('what is typed well is taken, without spaces and a slash at its end', function () {
    $place = typedPlace([
        'url' => ' https://calendar.example/dav/ ',
        'user' => ' me ',
        'pace' => '0.1',
        'timeout' => '60',
    ]);
    expect([
        $place->service,
        $place->kind,
        $place->url,
        $place->user,
        $place->password,
        $place->pace,
        $place->timeout,
    ])
        ->toBe([
            ExternalService::Calendar,
            PlaceKind::CalDav,
            'https://calendar.example/dav',
            'me',
            'secret',
            0.1,
            60.0,
        ])
        ->and($place->isTemplate())
        ->toBeFalse()
        ->and(typedPlace(['url' => 'http://x.example/{sourcedId}/{address}'])->isTemplate())
        ->toBeTrue();
    $usual = typedPlace();
    expect([$usual->pace, $usual->timeout])->toBe([null, 8.0]);
    expect(typedPlace(['pace' => '1000', 'timeout' => '1'])->pace)->toBe(1000.0);
    // Nothing is asked of the address of what is not spoken to, or is our own.
    expect(typedPlace(['kind' => 'our-page', 'url' => ''])->kind)
        ->toBe(PlaceKind::OurPage)
        ->and(typedPlace(['kind' => 'stand-in', 'url' => ''])->kind)
        ->toBe(PlaceKind::StandIn)
        ->and(typedPlace(['kind' => 'smtp', 'url' => 'smtps://mail.example:465'], ExternalService::Post)->url)
        ->toBe('smtps://mail.example:465');
});

test('what cannot be a place is a fault of its field, and says how to mend it', function (
    array $with,
    string $field,
    string $words,
    ExternalService $service = ExternalService::Calendar,
) {
    expect(fn () => typedPlace($with, $service))->toThrow(
        fn (Fault $e) => expect($e->field)->toBe($field)->and(English::of($e))->toContain($words),
    );
})->with([
    [['kind' => 'smtp'], 'kind', 'Choose one of: stand-in, caldav, caldav-invites, our-page.'],
    [['kind' => ''], 'kind', 'Choose one of'],
    [['url' => ''], 'url', 'https://school.example'],
    [['url' => 'calendar.example'], 'url', 'https://school.example'],
    [['url' => 'https://'], 'url', 'https://school.example'],
    [['url' => 'ftp://calendar.example'], 'url', 'https://school.example'],
    [
        ['url' => 'https://me@calendar.example'],
        'url',
        'Enter a link like https://school.example, without user name or '.'password.',
    ],
    [['url' => 'https://calendar.example/{name}'], 'url', 'Only {address} and {sourcedId}'],
    [['kind' => 'smtp', 'url' => 'https://mail.example'], 'url', 'smtp://school.example', ExternalService::Post],
    [
        ['kind' => 'own-service', 'url' => 'https://x.example/{address}'],
        'url',
        'Only the link of a calendar server '.'can contain {address} or {sourcedId}.',
        ExternalService::Course,
    ],
    [['pace' => 'fast'], 'pace', 'Enter a number, for example 8.'],
    [['pace' => '0.09'], 'pace', 'Enter 0.1 to 1000 requests per second.'],
    [['pace' => '1001'], 'pace', 'Enter 0.1 to 1000 requests per second.'],
    [['timeout' => 'long'], 'timeout', 'Enter a number, for example 8.'],
    [['timeout' => '0.9'], 'timeout', 'Enter 1 to 60 seconds.'],
    [['timeout' => '61'], 'timeout', 'Enter 1 to 60 seconds.'],
]);

test('another kind, address or user is another server; another password or pace is the same', function () {
    $place = typedPlace();
    expect(typedPlace(['url' => 'https://other.example'])->isElsewhere($place))
        ->toBeTrue()
        ->and(typedPlace(['user' => 'other'])->isElsewhere($place))
        ->toBeTrue()
        ->and(typedPlace(['kind' => 'our-page'])->isElsewhere($place))
        ->toBeTrue()
        ->and(typedPlace(['password' => 'x', 'pace' => '5', 'timeout' => '9'])->isElsewhere($place))
        ->toBeFalse();
});
