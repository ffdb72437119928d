<?php

declare(strict_types=1);

namespace Nomada\App\View;

use Illuminate\Support\Facades\Route;
use LogicException;

/** The addresses of one route in a list of a thousand rows: the router makes the first, the others are put together. */
final readonly class Address
{
    /** @param  list<string>  $between  what is there before, between and after the parameters */
    private function __construct(private array $between)
    {
    }

    public static function of(string $route): self
    {
        $names =
            Route::getRoutes()->getByName($route)?->parameterNames() ??
            throw new LogicException("There is no route $route");
        $marks = array_map(fn (int $n): string => "zq{$n}qz", array_keys($names));

        return new self(preg_split('/zq\d+qz/', route($route, $marks)) ?: []);
    }

    /** With a star for each parameter, for a script that puts them in. */
    public function pattern(): string
    {
        return implode('*', $this->between);
    }

    /** With the parameters in their order. */
    public function to(string|int ...$with): string
    {
        $out = $this->between[0];
        foreach (array_values($with) as $n => $value) {
            $out .= rawurlencode((string) $value).($this->between[$n + 1] ?? '');
        }

        return $out;
    }
}
