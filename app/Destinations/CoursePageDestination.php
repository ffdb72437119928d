<?php

declare(strict_types=1);

namespace Nomada\App\Destinations;

use Illuminate\Http\Client\Response;
use Nomada\App\Models\Publishing\Placement as Standing;
use Nomada\Core\Publishing\ExternalService;
use Nomada\Core\Publishing\Placement;

/** The course site: one page a section, on it our items by their keys. */
final class CoursePageDestination extends JsonDestination
{
    public function put(Placement $wanted, Standing $standing): Receipt
    {
        $body = self::body($wanted);

        return $this->service()->putVersion(
            self::path($wanted->key),
            $body,
            $standing->etag,
            $wanted->key,
            fn (Response $r): bool => $r->json() === json_decode($body, true),
        );
    }

    public function remove(Standing $standing): void
    {
        $this->service()->delete(self::path($standing->key));
    }

    public function read(string $space): array
    {
        $out = [];
        $answer = $this->service()->send('GET', '/pages/'.rawurlencode($space));
        foreach ((array) $answer->json('items') as $item) {
            $key = (string) ($item['item'] ?? '');
            $body = json_encode(
                array_diff_key((array) $item, ['item' => 1, 'etag' => 1]),
                JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES,
            );
            $out[$key] = new Found($key, (string) ($item['etag'] ?? ''), (string) $body);
        }

        return $out;
    }

    private static function path(string $key): string
    {
        [$section, $item] = explode('/', $key, 2);

        return '/pages/'.rawurlencode($section).'/items/'.rawurlencode($item);
    }

    protected static function body(Placement $wanted): string
    {
        return (string) json_encode(
            FieldWords::body($wanted) + ['block' => $wanted->fields['week'] ?? 'pinned'],
            JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES,
        );
    }

    private function service(): Service
    {
        return Service::of(ExternalService::Course);
    }
}
