<?php

declare(strict_types=1);

namespace Nomada\App\Destinations;

use Illuminate\Http\Client\Response;
use Nomada\App\Models\Publishing\Placement as Standing;
use Nomada\Core\Publishing\Placement;

/** The course site: one page a section, on it our items by their keys. */
final class CoursePageDestination implements Destination
{
    public function put(Placement $wanted, Standing $standing): Receipt
    {
        [$section, $item] = explode('/', $wanted->key, 2);
        $body = (string) json_encode(
            [
                'title' => $wanted->fields['title'],
                'block' => $wanted->fields['week'] ?? 'pinned',
                'fields' => FieldWords::fields($wanted),
            ],
            JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES,
        );
        $path = '/pages/'.rawurlencode($section).'/items/'.rawurlencode($item);

        return $this->service()->putVersion(
            $path,
            $body,
            $standing->etag,
            fn (Response $r): bool => $r->json() === json_decode($body, true),
        );
    }

    public function remove(Standing $standing): void
    {
        $this->service()->delete((string) $standing->remote);
    }

    private function service(): Service
    {
        return Service::of('course site', '/course');
    }
}
