<?php

declare(strict_types=1);

namespace Nomada\App\Http;

use Illuminate\Http\Request;
use Nomada\App\Actions\Recording\SoundPart;
use Symfony\Component\HttpFoundation\Response;

/** Some bytes of a sound, as a player asks for them (RFC 9110, section 14). */
final class RangeResponse
{
    /** Bytes that are read at a time. */
    private const CHUNK = 65536;

    public static function of(Request $request, SoundPart $sound): Response
    {
        $whole = strlen($sound->head) + $sound->length;
        [$from, $to, $status] = [0, $whole - 1, 200];
        if (
            preg_match('/^bytes=(\d*)-(\d*)$/', (string) $request->header('Range'), $m) === 1 &&
            $m[0] !== 'bytes=-'
        ) {
            $from = $m[1] === '' ? max(0, $whole - (int) $m[2]) : (int) $m[1];
            $to = $m[1] === '' || $m[2] === '' ? $whole - 1 : min($whole - 1, (int) $m[2]);
            if ($from > $to) {
                return new Response('', 416, ['Content-Range' => "bytes */$whole"]);
            }
            $status = 206;
        }

        return response()->stream(fn () => self::send($sound, $from, $to), $status, [
            'Content-Type' => $sound->type === '' ? 'application/octet-stream' : $sound->type,
            'Content-Length' => (string) ($to - $from + 1),
            'Accept-Ranges' => 'bytes',
            ...$status === 206 ? ['Content-Range' => "bytes $from-$to/$whole"] : [],
        ]);
    }

    private static function send(SoundPart $sound, int $from, int $to): void
    {
        $left = $to - $from + 1;
        if ($from < strlen($sound->head)) {
            $some = substr($sound->head, $from, $left);
            echo $some;
            $left -= strlen($some);
            $from += strlen($some);
        }
        fseek($sound->stream, $sound->at + $from - strlen($sound->head));
        while ($left > 0 && ! feof($sound->stream)) {
            $some = (string) fread($sound->stream, max(1, min(self::CHUNK, $left)));
            echo $some;
            $left -= strlen($some);
        }
        fclose($sound->stream);
    }
}
