<?php

declare(strict_types=1);

namespace Nomada\App\Support;

use Illuminate\Translation\Translator;

/**
 * The framework's translator, which looks each line up once: a long list says the same few words in a thousand rows,
 * and looking them up took a third of the time of its page.
 */
final class Lines extends Translator
{
    /** @var array<string, array<string, string>> by language and key, before anything is put into them */
    private array $found = [];

    /** @var array<string, array<string, string>> whose plurals a line has, by language and key */
    private array $counted = [];

    /**
     * @param  string  $key
     * @param  array<string, mixed>  $replace
     * @param  string|null  $locale
     * @param  bool  $fallback
     * @return string|array<mixed>
     */
    public function get($key, array $replace = [], $locale = null, $fallback = true)
    {
        $language = $locale ?: $this->locale;
        if (! $fallback) {
            return parent::get($key, $replace, $language, false);
        }
        $line = $this->found[$language][$key] ?? null;
        if ($line === null) {
            $line = parent::get($key, [], $language);
            if (! is_string($line) || $line === $key) {
                return parent::get($key, $replace, $language);
            }
            $this->found[$language][$key] = $line;
        }

        return $replace === [] ? $line : $this->makeReplacements($line, $replace);
    }

    /**
     * @param  string  $key
     * @param  string|null  $locale
     */
    protected function localeForChoice($key, $locale): string
    {
        return $this->counted[$locale ?: $this->locale][$key] ??= (string) parent::localeForChoice($key, $locale);
    }

    /**
     * @param  array<string, mixed>  $lines
     * @param  string  $locale
     * @param  string  $namespace
     */
    public function addLines(array $lines, $locale, $namespace = '*'): void
    {
        $this->found = $this->counted = [];
        parent::addLines($lines, $locale, $namespace);
    }

    /** @param  array<mixed>  $loaded */
    public function setLoaded(array $loaded): void
    {
        $this->found = $this->counted = [];
        parent::setLoaded($loaded);
    }
}
