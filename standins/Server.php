<?php

declare(strict_types=1);

namespace Nomada\Standins;

use Throwable;

/**
 * The simulated outside services: conference bridge, course site, calendar server, stream server, post office.
 *
 * Programs show the token. A person's browser shows a pass: a keyed sum of the page's path, which the school's own
 * pages put into the addresses that they hand out, so that nobody reads another's calendar by changing an address.
 */
final class Server
{
    public function __construct(private readonly string $token)
    {
    }

    public function serve(): void
    {
        $request = Request::fromGlobals();
        try {
            $answer = $this->answer($request);
        } catch (Refusal $e) {
            $answer = $request->wantsPage()
                ? Answer::page(Page::of('Not here', '<p>'.Page::text($e->getMessage()).'</p>'), $e->status)
                : Answer::json(
                    $e->status,
                    ['error' => $e->getMessage()],
                    self::limit($e->perSecond) +
                        ($e->retryAfter > 0 ? ['Retry-After' => (string) $e->retryAfter] : []),
                );
        } catch (Throwable $e) {
            error_log((string) $e);
            $answer = Answer::json(500, ['error' => 'The demo service failed: '.$e->getMessage()]);
        }
        http_response_code($answer->status);
        foreach ($answer->headers + self::guards() as $name => $value) {
            header("$name: $value");
        }
        echo $answer->body;
    }

    /** @return array<string, string> */
    private static function guards(): array
    {
        return [
            'Content-Security-Policy' => "default-src 'none'; style-src 'self'; script-src 'self'; connect-src ".
                "'self'; img-src data:; media-src 'self' blob:; form-action 'self'; base-uri 'none'; ".
                "frame-ancestors 'none'",
            'X-Content-Type-Options' => 'nosniff',
            'Referrer-Policy' => 'no-referrer',
            'Cache-Control' => 'no-store',
        ];
    }

    private function answer(Request $request): Answer
    {
        if ($request->path === '/standins.css') {
            return new Answer(200, (string) file_get_contents(__DIR__.'/standins.css'), [
                'Content-Type' => 'text/css',
            ]);
        }
        if ($request->path === '/room.js') {
            return new Answer(200, (string) file_get_contents(__DIR__.'/room.js'), [
                'Content-Type' => 'text/javascript',
            ]);
        }
        if ($request->path === '/up') {
            return Answer::json(200, ['up' => true]);
        }
        if (! preg_match('#^/(bridge|course|calendar|stream|post|controls)(/.*)?$#', $request->path, $m)) {
            throw new Refusal(404, 'No demo service has this page.');
        }
        $store = new Store();
        $service = $m[1];
        $parts = array_map(rawurldecode(...), explode('/', trim($m[2] ?? '', '/')));
        if ($service === 'controls') {
            $this->needs($request, true);

            return (new Controls($store))->answer($request, $parts[0]);
        }
        $byProgram = $this->needs($request, ! ($service === 'bridge' && isset($request->query['seat'])));
        $perSecond = $byProgram ? (new Controls($store))->apply($service, $request->path) : 0;
        $answer = match ($service) {
            'bridge' => (new Bridge($store))->answer($request, $parts),
            'course' => (new CourseSite($store))->answer($request, $parts),
            'calendar' => (new CalendarServer($store))->answer($request, $parts),
            'post' => (new PostOffice($store))->answer($request, $parts),
            default => (new StreamServer($store))->answer($request, $parts),
        };

        return new Answer($answer->status, $answer->body, $answer->headers + self::limit($perSecond));
    }

    /**
     * How fast it lets itself be asked, as the IETF's header fields for rate limits say it: so many in a window of one
     * second.
     *
     * @return array<string, string>
     */
    private static function limit(int $perSecond): array
    {
        return $perSecond > 0 ? ['RateLimit-Policy' => "$perSecond;w=1"] : [];
    }

    /** Whether a program asks (by the token); a person's pass opens reading only. */
    private function needs(Request $request, bool $pass): bool
    {
        $given = str_replace('Bearer ', '', $request->header('authorization'));
        if ($this->token !== '' && hash_equals($this->token, $given)) {
            return true;
        }
        $open = hash_equals(self::pass($this->token, $request->path), $request->query['pass'] ?? '');
        if ($pass && ! $open) {
            throw new Refusal(403, 'This page opens from your own page in Nomada.');
        }

        return false;
    }

    public static function pass(string $token, string $path): string
    {
        return substr(hash_hmac('sha256', $path, $token), 0, 32);
    }
}
