<?php

declare(strict_types=1);

namespace Nomada\App\Destinations;

use CurlHandle;
use RuntimeException;

/** One long answer that is written into a file as it comes, behind what is there already. */
final class Download
{
    public int $status = 0;

    public string $type = '';

    /** Whether all of it has come. */
    public bool $isWhole = false;

    /** Whether it was given up because it is longer than it may be. */
    public bool $isTooLong = false;

    private int $bytes = 0;

    /**
     * @param  array<string, string>  $headers
     * @param  float  $idle  seconds for which nothing may come
     * @param  int  $most  bytes
     */
    public function __construct(
        private readonly string $url,
        private readonly array $headers,
        private readonly float $idle,
        private readonly int $most,
    ) {
    }

    public function into(string $file): void
    {
        $out = fopen($file, 'cb') ?: throw new RuntimeException($file);
        fseek($out, 0, SEEK_END);
        $this->bytes = (int) ftell($out);
        $lines = $this->bytes > 0 ? ["Range: bytes={$this->bytes}-"] : [];
        foreach ($this->headers as $name => $value) {
            $lines[] = "$name: $value";
        }
        if ($this->url === '') {
            throw new DestinationFailure((string) __('places.no_address', ['service' => '']));
        }
        $curl = curl_init();
        curl_setopt_array($curl, [
            CURLOPT_URL => $this->url,
            CURLOPT_HTTPHEADER => $lines,
            CURLOPT_PROTOCOLS => CURLPROTO_HTTP | CURLPROTO_HTTPS,
            CURLOPT_CONNECTTIMEOUT_MS => (int) (1000 * $this->idle),
            // Fewer than one byte a second for so long is nothing.
            CURLOPT_LOW_SPEED_LIMIT => 1,
            CURLOPT_LOW_SPEED_TIME => (int) ceil($this->idle),
            CURLOPT_NOSIGNAL => true,
            CURLOPT_WRITEFUNCTION => fn (CurlHandle $c, string $some): int => $this->write($c, $out, $some),
        ]);
        $came = curl_exec($curl);
        $this->status = (int) curl_getinfo($curl, CURLINFO_RESPONSE_CODE);
        $this->type = (string) curl_getinfo($curl, CURLINFO_CONTENT_TYPE);
        // 416: there is nothing behind what we have.
        $this->isWhole = $came === true && ($this->status < 300 || $this->status === 416);
        $this->status = $this->status === 416 ? 206 : $this->status;
        fclose($out);
    }

    /** @param  resource  $out */
    private function write(CurlHandle $curl, $out, string $some): int
    {
        $status = (int) curl_getinfo($curl, CURLINFO_RESPONSE_CODE);
        if ($status === 200 && $this->bytes > 0 && ftell($out) === $this->bytes) {
            // It does not know of ranges, and begins again.
            ftruncate($out, 0);
            rewind($out);
            $this->bytes = 0;
        }
        if ($status >= 300) {
            return strlen($some);
        }
        if (ftell($out) + strlen($some) > $this->most) {
            $this->isTooLong = true;

            return 0;
        }

        return (int) fwrite($out, $some);
    }
}
