<?php

use Illuminate\Contracts\Translation\Loader;
use Illuminate\Routing\Route as OneRoute;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Facade;
use Illuminate\Support\Facades\Route;

// Every page of every role, read in Spanish, and in a made-up language whose every string is between marks: no word of
// it is English but what people of the school have written.

const ENGLISH =
    'the|of|and|is|are|for|with|not|from|this|your|their|was|were|you|that|which|will|can|they|when|'.
    'there|by|at|its|into|none|next|every|everybody|session|sessions|student|students|teacher|teachers|section|'.
    'sections|today|week|save|show|sent|email|emails|closed|open|until|yet|link|links|publish|published|account';

/** Words of dates that Spanish has not. */
const ENGLISH_DATES = '|mon|tue|wed|thu|fri|sat|sun|jan|apr|aug|dec';

/** What a reader meets on a page: its text, and what a screen reader says. */
function readAloud(string $html): string
{
    $page = new DOMDocument();
    @$page->loadHTML("<?xml encoding=\"utf-8\">$html");
    $xpath = new DOMXPath($page);
    $out = [];
    $not =
        'not(ancestor-or-self::*[@lang = "en" or @lang = "en-GB" or @translate = "no" or self::script or self::style '
            .'or self::code])';
    foreach (
        $xpath->query(
            "//title/text() | //body//text()[$not] | //body//*[$not]/@aria-label | //body//*[$not]/@title |".
                "//body//*[$not]/@placeholder | //body//*[$not]/@alt | //body//*[$not]/@data-bs-title",
        ) ?:
        [] as $node
    ) {
        $text = trim((string) preg_replace('/\s+/u', ' ', (string) $node->nodeValue));
        $out[] = $text;
    }

    return implode("\n", array_filter($out));
}

/** The strings of lang/en, each between marks, as if they were German, of which there are dates and no words. */
function speakMarked(): void
{
    $of = app('translation.loader');
    $marked = new class($of) implements Loader {
        public function __construct(private readonly Loader $of)
        {
        }

        /** @return array<mixed> */
        public function load($locale, $group, $namespace = null): array
        {
            $lines = $this->of->load($locale === 'de' ? 'en' : $locale, $group, $namespace);
            if ($locale === 'de') {
                array_walk_recursive($lines, function (mixed &$line): void {
                    $line = is_string($line) ? '«'.str_replace('|', '»|«', $line).'»' : $line;
                });
            }

            return $lines;
        }

        public function addNamespace($namespace, $hint): void
        {
            $this->of->addNamespace($namespace, $hint);
        }

        public function addJsonPath($path): void
        {
            $this->of->addJsonPath($path);
        }

        /** @return array<string, string> */
        public function namespaces(): array
        {
            return $this->of->namespaces();
        }
    };
    app()->instance('translation.loader', $marked);
    app()->forgetInstance('translator');
    Facade::clearResolvedInstance('translator');
    config(['app.languages' => ['en', 'es', 'de']]);
}

test('no page has a word of another language', function (string $who, string $language) {
    if ($language === 'de') {
        speakMarked();
    }
    $this->standins();
    $this->school();
    foreach (['nomada:links', 'nomada:register', 'nomada:publish'] as $command) {
        Artisan::call($command);
    }
    DB::table('people')->update(['language' => $language]);
    $series = $this->section('MAR')->series()->firstOrFail();
    $with = [
        'section' => 'MAR',
        'series' => $series->id,
        'session' => $series->sessions()->where('day', '2027-02-11')->value('id'),
        'person' => $who === 'T-2' ? 'S-1' : $who,
        'place' => 'course',
        'run' => DB::table('runs')->where('kind', 'publish')->value('id'),
    ];
    $words = $language === 'es' ? ENGLISH.ENGLISH_DATES : ENGLISH;
    $found = [];
    $read = 0;
    foreach (Route::getRoutes()->getRoutesByMethod()['GET'] as $route) {
        /** @var OneRoute $route */
        if (array_diff($route->parameterNames(), array_keys($with)) !== [] || $route->getName() === 'house') {
            continue;
        }
        $path = preg_replace_callback(
            '/\{(\w+)(:\w+)?\}/',
            fn (array $m): string => (string) $with[$m[1]],
            $route->uri(),
        );
        $answer = $this->as($who)->get("/$path");
        if (
            $answer->getStatusCode() !== 200 ||
            ! str_contains((string) $answer->headers->get('Content-Type'), 'html')
        ) {
            continue;
        }
        $read++;
        $text = readAloud((string) $answer->getContent());
        for ($n = 1; $n > 0;) {
            $text = (string) preg_replace('/«[^«»]*»/u', '', $text, -1, $n);
        }
        foreach (explode("\n", $text) as $line) {
            if (preg_match("/(?<![\w@.-])($words)(?![\w@.-])/i", $line) === 1) {
                $found[] = "/$path: ".mb_strimwidth($line, 0, 100, '…');
            }
        }
    }
    expect(array_values(array_unique($found)))
        ->toBe([])
        ->and($read)
        ->toBeGreaterThan($who === 'S-1' ? 5 : 25);
})
    ->with(['a coordinator' => 'A-1', 'a teacher' => 'T-2', 'a student' => 'S-1'])
    ->with(['Spanish' => 'es', 'every string between marks' => 'de']);
