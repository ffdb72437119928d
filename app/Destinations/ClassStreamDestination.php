<?php

declare(strict_types=1);

namespace Nomada\App\Destinations;

use Illuminate\Http\Client\Response;
use Nomada\App\Models\Publishing\Placement as Standing;
use Nomada\Core\Publishing\ExternalService;
use Nomada\Core\Publishing\Placement;

/**
 * The stream server: posts to a section. A post has an id of the server's; our key makes a second try find the first
 * one's post.
 */
final class ClassStreamDestination extends JsonDestination
{
    public function put(Placement $wanted, Standing $standing): Receipt
    {
        [$section] = explode('/', $wanted->key, 2);
        $body = self::body($wanted);
        $service = $this->service();
        if ($standing->remote !== null) {
            $condition = (string) $standing->etag === '' ? [] : ['If-Match' => (string) $standing->etag];
            $answer = $service->send('PUT', $standing->remote, $body, $condition, [404, 412]);
            if ($answer->status() === 412) {
                $answer = $this->theirs($service, $standing->remote, $wanted, $answer);
            }
            if ($answer->status() !== 404) {
                return new Receipt($standing->remote, $answer->header('ETag'));
            }
        }
        $answer = $service->send('POST', '/sections/'.rawurlencode($section).'/posts', $body, [
            'Idempotency-Key' => $wanted->key,
        ]);
        $path = '/posts/'.rawurlencode((string) $answer->json('id'));
        if ($answer->json('post') !== json_decode($body, true)) {
            // The key was known: an earlier try is there with older words.
            $answer = $service->send('PUT', $path, $body);
        }

        return new Receipt($path, $answer->header('ETag'));
    }

    public function remove(Standing $standing): void
    {
        $this->service()->delete((string) $standing->remote);
    }

    /**
     * What is there instead of what we left, where an earlier try of ours had arrived.
     *
     * @throws Drifted where it is somebody else's
     */
    private function theirs(Service $service, string $path, Placement $wanted, Response $refusal): Response
    {
        $answer = $service->send('GET', $path, '', [], [404]);
        $post = json_encode($answer->json('post') ?? [], JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES);
        $found = new Found($wanted->key, $answer->header('ETag'), (string) $post);
        if ($answer->status() !== 404 && ! $this->means($found, $wanted)) {
            throw new Drifted((string) $refusal->json('error'), $found);
        }

        return $answer;
    }

    public function read(string $space): array
    {
        $out = [];
        $answer = $this->service()->send('GET', '/sections/'.rawurlencode($space));
        foreach ((array) $answer->json('posts') as $post) {
            $key = (string) ($post['key'] ?? '');
            $out[$key] = new Found(
                $key,
                (string) ($post['etag'] ?? ''),
                (string) json_encode($post['post'] ?? [], JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES),
            );
        }

        return $out;
    }

    protected static function body(Placement $wanted): string
    {
        return (string) json_encode(FieldWords::body($wanted), JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES);
    }

    private function service(): Service
    {
        return Service::of(ExternalService::Stream);
    }
}
