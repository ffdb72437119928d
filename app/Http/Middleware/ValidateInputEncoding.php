<?php

declare(strict_types=1);

namespace Nomada\App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/**
 * What comes in is text: where bytes are no UTF-8, the request is answered 400 before anything reads it. Control
 * characters and those that turn the direction of text around are left out: nobody types them, and in a page, a letter
 * or a calendar they show one thing and say another.
 */
final class ValidateInputEncoding
{
    /** C0 and C1 controls but tab and line breaks; embeddings, overrides and isolates of direction. */
    private const UNSEEN = '/[\x{0}-\x{8}\x{B}\x{C}\x{E}-\x{1F}\x{7F}-\x{9F}\x{202A}-\x{202E}\x{2066}-\x{2069}]/u';

    /**
     * The fields that are lists. Any other is one value; a list in its place is left out, as if it had not been sent.
     */
    private const LISTS = [
        'answers',
        'choice',
        'chosen',
        'days',
        'files',
        'labels',
        'moves',
        'out',
        'parts',
        'pins',
        'people',
        'places',
        'points',
        'rotation_weekdays',
        'rows',
        'sections',
        'series',
        'sessions',
        'sure',
        'take',
        'weekdays',
    ];

    /** The fields that have lines. What is pasted into any other is one line, as its field shows it. */
    private const LINES = ['dates', 'periods', 'sections', 'students', 'text', 'topics'];

    /** These are compared as they are, and shown to nobody. */
    private const AS_IT_IS = ['password', 'again', 'old_password'];

    public function handle(Request $request, Closure $next): Response
    {
        if (! mb_check_encoding(rawurldecode($request->getRequestUri()), 'UTF-8')) {
            abort(400);
        }
        $request->query->replace(self::cleaned($request->query->all()));
        if ($request->getRealMethod() !== 'GET') {
            $request->request->replace(self::cleaned($request->request->all()));
            if ($request->isJson()) {
                $request->json()->replace(self::cleaned($request->json()->all()));
            }
        }

        return $next($request);
    }

    /**
     * @param  array<mixed>  $values
     * @return array<mixed>
     */
    private static function cleaned(array $values, int $depth = 0): array
    {
        abort_if($depth > 8, 400);
        $out = [];
        foreach ($values as $name => $value) {
            abort_unless(is_int($name) || mb_check_encoding($name, 'UTF-8'), 400);
            if (is_string($value)) {
                abort_unless(mb_check_encoding($value, 'UTF-8'), 400);
                $out[$name] = match (true) {
                    in_array($name, self::AS_IT_IS, true) => $value,
                    in_array($name, self::LINES, true) => (string) preg_replace(self::UNSEEN, '', $value),
                    default => (string) preg_replace([self::UNSEEN, '/\s*\R\s*/u'], ['', ' '], $value),
                };
            } elseif (! is_array($value)) {
                $out[$name] = $value;
            } elseif ($depth > 0 || in_array($name, self::LISTS, true)) {
                $out[$name] = self::cleaned($value, $depth + 1);
            }
        }

        return $out;
    }
}
