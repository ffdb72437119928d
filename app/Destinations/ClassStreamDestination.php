<?php

declare(strict_types=1);

namespace Nomada\App\Destinations;

use Nomada\App\Models\Publishing\Placement as Standing;
use Nomada\Core\Publishing\Placement;

/**
 * The stream server: posts to a section. A post has an id of the server's; our key makes a second try find the first
 * one's post.
 */
final class ClassStreamDestination implements Destination
{
    public function put(Placement $wanted, Standing $standing): Receipt
    {
        [$section] = explode('/', $wanted->key, 2);
        $body = (string) json_encode(
            ['title' => $wanted->fields['title'], 'fields' => FieldWords::fields($wanted)],
            JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES,
        );
        $service = $this->service();
        if ($standing->remote !== null) {
            $answer = $service->send('PUT', $standing->remote, $body, [], [404]);
            if ($answer->status() !== 404) {
                return new Receipt($standing->remote, $answer->header('ETag'));
            }
        }
        $answer = $service->send('POST', '/sections/'.rawurlencode($section).'/posts', $body, [
            'Idempotency-Key' => $wanted->key,
        ]);
        $path = '/posts/'.rawurlencode((string) $answer->json('id'));
        if ($answer->json('post') !== json_decode($body, true)) {
            // The key was known: an earlier try stands there with older words.
            $answer = $service->send('PUT', $path, $body);
        }

        return new Receipt($path, $answer->header('ETag'));
    }

    public function remove(Standing $standing): void
    {
        $this->service()->delete((string) $standing->remote);
    }

    private function service(): Service
    {
        return Service::of('stream server', '/stream');
    }
}
