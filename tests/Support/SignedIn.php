<?php

declare(strict_types=1);

namespace Tests\Support;

use GuzzleHttp\Cookie\CookieJar;
use Illuminate\Support\Facades\Http;

/** Somebody signed in to a running copy, over HTTP. */
final class SignedIn
{
    /**
     * Signs somebody in by the ordinary page.
     *
     * @return array{CookieJar, string} cookies, and the token of their forms
     */
    public static function at(string $url, string $email): array
    {
        $jar = new CookieJar();
        $http = fn () => Http::withOptions(['cookies' => $jar, 'allow_redirects' => false]);
        preg_match(
            '/name="_token" value="([^"]+)"/',
            $http()
                ->get("$url/sign-in")
                ->body(),
            $m,
        );
        $before = $jar->toArray();
        $http()
            ->asForm()
            ->post("$url/sign-in", ['_token' => $m[1] ?? '', 'email' => $email, 'password' => 'carnival-tide-27']);
        // Knowing the earlier cookie helps nobody: signing in gives another one.
        expect(
            array_column($jar->toArray(), 'Value', 'Name')['nomada-session'] ??
                array_column($jar->toArray(), 'Value', 'Name'),
        )->not->toBe(
            array_column($before, 'Value', 'Name')['nomada-session'] ?? array_column($before, 'Value', 'Name'),
        );
        preg_match(
            '/name="_token" value="([^"]+)"/',
            $http()
                ->get("$url/join")
                ->body(),
            $m,
        );

        return [$jar, $m[1] ?? ''];
    }
}
