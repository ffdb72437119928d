<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\Chrome\ChromeDevToolsDriver;
use Facebook\WebDriver\Chrome\ChromeOptions;
use Facebook\WebDriver\Exception\ElementNotInteractableException;
use Facebook\WebDriver\Exception\StaleElementReferenceException;
use Facebook\WebDriver\Exception\UnknownErrorException;
use Facebook\WebDriver\Remote\DesiredCapabilities;
use Facebook\WebDriver\Remote\RemoteWebDriver;
use Facebook\WebDriver\Remote\RemoteWebElement;
use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;
use RuntimeException;

/**
 * Headless Chromium, driven as a person would: by what is to be read on the page. Waits for what it expects, never for
 * a time.
 */
final class Browser
{
    /** @var resource */
    private $driverProcess;

    /** @var list<string> files and folders that are taken away at the end */
    private array $leaves = [];

    private RemoteWebDriver $driver;

    private string $url = '';

    /** Who has signed in by `as` and nothing else, and goes on being so. */
    private string $who = '';

    /** By what the browser knows axe, where it brings it to every page; '' where it does not. */
    private string $brings = '';

    private function __construct(private readonly float $patience)
    {
    }

    private static ?self $shared = null;

    /** One for the whole run: starting costs a second. */
    public static function shared(): self
    {
        if (self::$shared === null) {
            self::$shared = self::start();
            register_shutdown_function(fn () => self::$shared?->end());
        }

        return self::$shared;
    }

    /** What its console complained of in the test before is not the next one's. */
    public static function forget(): void
    {
        self::$shared?->troubles();
    }

    public static function start(): self
    {
        // A slow machine needs all of it; while something is being changed, a failed wait may end sooner.
        $self = new self((float) (getenv('NOMADA_PATIENCE') ?: 240));
        $port = self::freePort();
        $log = sys_get_temp_dir()."/chromedriver-$port.log";
        $self->leaves = [$log, sys_get_temp_dir()."/chromium-$port"];
        $self->driverProcess =
            proc_open(
                ['setsid', 'chromedriver', "--port=$port"],
                [['file', '/dev/null', 'r'], ['file', $log, 'w'], ['file', $log, 'w']],
                $pipes,
            ) ?:
            throw new RuntimeException('chromedriver did not start');
        $options = (new ChromeOptions())->addArguments([
            '--headless=new',
            '--no-sandbox',
            '--disable-gpu',
            '--disable-dev-shm-usage',
            '--hide-scrollbars',
            '--force-device-scale-factor=1',
            // Nothing but the page: what is drawn around it costs a fifth of what a page costs.
            '--kiosk',
            '--screen-info={1280x940}',
            '--disable-background-networking',
            '--disable-component-update',
            '--disable-sync',
            '--no-first-run',
            '--force-prefers-reduced-motion',
            '--lang=en-GB',
            // A microphone that beeps and a camera that shows a pattern.
            '--use-fake-device-for-media-stream',
            '--use-fake-ui-for-media-stream',
            '--autoplay-policy=no-user-gesture-required',
            '--user-data-dir='.sys_get_temp_dir()."/chromium-$port",
        ]);
        $capabilities = DesiredCapabilities::chrome();
        $capabilities->setCapability(ChromeOptions::CAPABILITY, $options);
        $capabilities->setCapability('goog:loggingPrefs', ['browser' => 'ALL']);
        while (! @fsockopen('127.0.0.1', $port, $c, $w, 0.2)) {
            proc_get_status($self->driverProcess)['running']
                ? usleep(20_000)
                : throw new RuntimeException("chromedriver did not come up; see $log");
        }
        $self->driver = RemoteWebDriver::create("http://127.0.0.1:$port", $capabilities, 600_000, 600_000);

        return $self;
    }

    public function end(): void
    {
        try {
            $this->driver->quit();
        } finally {
            $pid = proc_get_status($this->driverProcess)['pid'];
            posix_kill(-$pid, SIGTERM);
            proc_close($this->driverProcess);
            // What the browser kept is nobody's any more; what the driver wrote is looked at only while it runs.
            exec('rm -rf '.implode(' ', array_map(escapeshellarg(...), $this->leaves)));
        }
    }

    /** A visitor without cookies at an address, who has seen no page of it yet. */
    public function fresh(string $url): self
    {
        $this->url = $url;
        $this->who = '';
        $this->leaveAxe();
        // Somewhere that sets no cookies itself, and where nothing of the last page is under way any more.
        $this->driver->get("$url/robots.txt");
        $this->driver->manage()->deleteAllCookies();
        // A page of the last test may have asked a server that was taken away.
        $this->troubles();

        return $this;
    }

    public function size(int $width, int $height): self
    {
        (new ChromeDevToolsDriver($this->driver))->execute('Emulation.setDeviceMetricsOverride', [
            'width' => $width,
            'height' => $height,
            'deviceScaleFactor' => 1,
            'mobile' => false,
        ]);

        return $this;
    }

    public function theme(bool $dark): self
    {
        $this->driver->executeScript(
            'localStorage.setItem("nomada.theme", arguments[0]); '.
                'document.documentElement.setAttribute("data-bs-theme", arguments[0])',
            [$dark ? 'dark' : 'light'],
        );

        return $this;
    }

    /** Signs in on the way to a page, as a stranger does who follows a link: by a button of the sign-in page. */
    public function signInAsDemo(string $person, string $page = '/'): self
    {
        $this->who = '';
        $this->open($page);
        $isOpen = ! $this->isToSignIn();
        if ($isOpen) {
            $this->open('/sign-in');
        }
        $button = $this->driver->findElements(
            WebDriverBy::xpath("//form[input[@name='person' and @value='$person']]/button"),
        );
        if ($button === []) {
            throw new RuntimeException("The sign-in page does not offer $person");
        }
        $button[0]->click();
        $this->wait(fn (): bool => ! $this->isToSignIn(), "signing in as $person");

        return $isOpen ? $this->open($page) : $this;
    }

    private function isToSignIn(): bool
    {
        return str_starts_with($this->path(), '/sign-in');
    }

    /** A page as somebody sees it, who stays signed in from one page to the next; '' for a stranger. */
    public function as(string $url, string $person, string $page): self
    {
        if ("$url $person" === $this->who) {
            $this->open($page);
        }
        // The school may have been laid again in between, and its sign-ins gone with it.
        if ("$url $person" !== $this->who || ($person !== '' && $this->isToSignIn())) {
            $this->fresh($url);
            $person === '' ? $this->open($page) : $this->signInAsDemo($person, $page);
        }
        $this->who = "$url $person";

        return $this;
    }

    public function signIn(string $email, string $password): self
    {
        $this->who = '';
        $this->driver->get("$this->url/sign-in");
        $this->fill('email', $email)->fill('password', $password)->click('form .btn-main');
        $this->wait(fn (): bool => ! $this->isToSignIn(), "signing in as $email");

        return $this;
    }

    public function open(string $path): self
    {
        $this->driver->get(str_starts_with($path, 'http') ? $path : $this->url.$path);

        return $this;
    }

    public function path(): string
    {
        return (string) preg_replace('#^https?://[^/]+#', '', $this->driver->getCurrentURL());
    }

    public function click(string $css): self
    {
        $this->find($css)->click();

        return $this;
    }

    /** Presses the button, link or summary that reads so (or begins so). */
    public function press(string $text): self
    {
        $quoted = "concat('', \"".str_replace('"', '\"', $text).'")';
        $xpath =
            "//*[self::button or self::a or self::summary][starts-with(normalize-space(.), $quoted) or ".
            "@aria-label=$quoted]";
        $this->wait(function () use ($xpath): bool {
            foreach ($this->driver->findElements(WebDriverBy::xpath($xpath)) as $element) {
                try {
                    if ($element->isDisplayed() && $element->isEnabled()) {
                        $element->click();

                        return true;
                    }
                } catch (StaleElementReferenceException) {
                    // A page that brings a part of itself later has put another one in its place.
                    return false;
                }
            }

            return false;
        }, "pressing \"$text\"");

        return $this;
    }

    public function fill(string $name, string $value): self
    {
        $field = $this->find("[name='$name']");
        $field->clear()->sendKeys($value);

        return $this;
    }

    /** Chooses a check box or radio button, hidden behind its label or not. */
    public function choose(string $css): self
    {
        $this->driver->executeScript('arguments[0].checked || arguments[0].click()', [$this->find($css)]);

        return $this;
    }

    public function keys(string ...$keys): self
    {
        foreach ($keys as $key) {
            $name = WebDriverKeys::class."::$key";
            // What has the focus may be written again between two keys.
            $this->wait(function () use ($key, $name): bool {
                $this->driver
                    ->switchTo()
                    ->activeElement()
                    ->sendKeys(defined($name) ? constant($name) : $key);

                return true;
            }, "a place to type $key");
        }

        return $this;
    }

    /**
     * On with the Tab key until it is on something that reads so, or on what a selector finds. Everything on the
     * way, and where it ends, has to be seen to have the focus.
     */
    public function tabTo(string $what): self
    {
        $at = <<<'JS'
        const e = document.activeElement;
        // The focus may be drawn on what stands for it: the label of a small box, the cells of a row.
        const isDrawn = of => {
            const style = getComputedStyle(of);
            return style.outlineStyle !== 'none' || style.boxShadow !== 'none';
        };
        const isSeen = e === document.body ||
            [e, e.nextElementSibling, e.firstElementChild].some(of => of && isDrawn(of));
        const words = (e.getAttribute('aria-label') ?? e.textContent ?? '').replace(/\s+/g, ' ').trim();
        const isIt = arguments[0].match(/^[#.\[]|^[a-z]+[\[.#]/)
            ? e.matches(arguments[0])
            : words.startsWith(arguments[0]);
        return [isIt, isSeen, e.outerHTML.slice(0, 160)];
        JS;
        $this->wait(
            fn (): bool => $this->script('return document.readyState') === 'complete',
            'the page to be there',
        );
        for ($n = 0; $n < 400; $n++) {
            $this->tab();
            [$isIt, $isSeen, $html] = (array) $this->script($at, $what);
            if (! $isSeen) {
                throw new RuntimeException("Nobody sees that this has the focus: $html");
            }
            if ($isIt) {
                return $this;
            }
        }
        throw new RuntimeException("The Tab key does not lead to \"$what\" on {$this->path()}");
    }

    /** The key itself, by the debugger: the driver makes three questions of it. */
    private function tab(): void
    {
        $key = ['key' => 'Tab', 'code' => 'Tab', 'windowsVirtualKeyCode' => 9];
        foreach (['rawKeyDown', 'keyUp'] as $type) {
            (new ChromeDevToolsDriver($this->driver))->execute('Input.dispatchKeyEvent', ['type' => $type] + $key);
        }
    }

    /** What is typed on whatever has the focus, over what is there. */
    public function over(string $text): self
    {
        return $this->keys(WebDriverKeys::CONTROL.'a'.WebDriverKeys::NULL, $text);
    }

    /** Takes hold of an element with the mouse, moves it in two steps, and lets go. */
    public function drag(string $css, int $x, int $y = 0): self
    {
        $this->driver
            ->action()
            ->clickAndHold($this->find($css))
            ->moveByOffset(intdiv($x, 2), intdiv($y, 2))
            ->moveByOffset($x - intdiv($x, 2), $y - intdiv($y, 2))
            ->release()
            ->perform();

        return $this;
    }

    /** Drags from one element over to another. */
    public function dragTo(string $from, string $to): self
    {
        $this->driver
            ->action()
            ->clickAndHold($this->find($from))
            ->moveToElement($this->find($to))
            ->release()
            ->perform();

        return $this;
    }

    /** The page as it is printed. */
    public function pdf(): string
    {
        $answer = (new ChromeDevToolsDriver($this->driver))->execute('Page.printToPDF', [
            'preferCSSPageSize' => true,
            'printBackground' => true,
        ]);

        return (string) base64_decode((string) ($answer['data'] ?? ''));
    }

    public function focus(string $css): self
    {
        // In one step: a page that is drawn again between finding and focusing would lose the element.
        $focus = 'const e = document.querySelector(arguments[0]); e?.focus(); return document.activeElement === e';
        $this->wait(fn (): bool => $this->script($focus, $css) === true, "focusing $css");

        return $this;
    }

    public function find(string $css): RemoteWebElement
    {
        $found = null;
        $this->wait(function () use ($css, &$found): bool {
            $found = $this->driver->findElements(WebDriverBy::cssSelector($css))[0] ?? null;

            return $found !== null;
        }, "finding $css");

        return $found;
    }

    public function count(string $css): int
    {
        return count($this->driver->findElements(WebDriverBy::cssSelector($css)));
    }

    /** What a page shows there, by the browser's own account: the driver's walks over every element, and takes long. */
    public function text(string $css = 'body'): string
    {
        $text = null;
        $this->wait(function () use ($css, &$text): bool {
            $text = $this->script('return document.querySelector(arguments[0])?.innerText', $css);

            return is_string($text);
        }, "finding $css");

        return (string) $text;
    }

    /** What is written on the sheet of a room. */
    public function drawn(): string
    {
        return (string) $this->script('return document.querySelector("#sheet svg").textContent');
    }

    /** Waits until the page shows these words. */
    public function see(string $words, string $css = 'body', ?float $patience = null): self
    {
        // The page does the looking: fetching its whole text at each look is what makes a wait slow.
        $look = 'return document.querySelector(arguments[0])?.innerText.includes(arguments[1]) === true';
        $this->wait(fn (): bool => $this->script($look, $css, $words) === true, "seeing \"$words\"", $patience);

        return $this;
    }

    public function waitForPath(string $pattern): self
    {
        $this->wait(fn (): bool => preg_match($pattern, $this->path()) === 1, "coming to $pattern");

        return $this;
    }

    public function script(string $js, mixed ...$with): mixed
    {
        return $this->driver->executeScript($js, $with);
    }

    /** Until the page's own requests are over. */
    public function settle(): self
    {
        $this->wait(
            fn (): bool => $this->driver->executeScript(
                'return document.readyState === "complete" && document.fonts.status === "loaded"',
            ) === true,
            'settling',
        );
        $this->driver->executeAsyncScript(
            'const done = arguments[0]; let last = performance.getEntriesByType("resource").length; const look = () '.
                '=> { const n = performance.getEntriesByType("resource").length; if (n === last) done(); else { last '.
                '= n; setTimeout(look, 150); } }; setTimeout(look, 150);',
        );

        return $this;
    }

    /**
     * What axe (WCAG 2.2 A and AA) finds on this page.
     *
     * @return list<string>
     */
    public function accessibilityFaults(): array
    {
        if ($this->script('return typeof window.axe') !== 'object') {
            // Through the debugger, as no page of ours lets a foreign script run.
            $this->driver->executeScript(self::axe());
        }
        $found = $this->driver->executeAsyncScript(
            'const done = arguments[1]; axe.run(document, {runOnly: arguments[0], resultTypes: ["violations"]}).then('.
                'r => done(r.violations.map(v => v.id + '.
                '": " + v.nodes.slice(0, 4).map(n => n.target.join(" ") + " (" + n.failureSummary.split("\n")[1] + '.
                '")").join(" | "))), e => done(["axe: " + e]))',
            [['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa']],
        );

        return is_array($found) ? array_values($found) : ['axe gave no answer'];
    }

    /**
     * What axe finds on this page in light and in dark, and whether it is wider than its window in either, or turned
     * around, as a language would lay it out that is written from right to left.
     *
     * @return list<string>
     */
    public function faultsInBothSchemes(): array
    {
        $this->bringAxe();
        $found = [];
        foreach (['dark' => true, 'light' => false] as $scheme => $isDark) {
            $faults = $this->theme($isDark)->accessibilityFaults();
            if ($this->scrollsSideways()) {
                $faults[] = 'wider than its window';
            }
            array_push($found, ...array_map(fn (string $fault): string => "in $scheme: $fault", $faults));
        }
        $this->driver->executeScript('document.documentElement.dir = "rtl"');
        if ($this->scrollsSideways()) {
            $found[] = 'turned around: wider than its window';
        }

        return $found;
    }

    private static function axe(): string
    {
        return (string) file_get_contents(__DIR__.'/../../node_modules/axe-core/axe.min.js');
    }

    /** To every page from here on: half a megabyte on its way to each one takes longer than its work there. */
    private function bringAxe(): void
    {
        if ($this->brings === '') {
            $brought = (new ChromeDevToolsDriver($this->driver))->execute('Page.addScriptToEvaluateOnNewDocument', [
                'source' => self::axe(),
                'runImmediately' => true,
            ]);
            $this->brings = (string) $brought['identifier'];
        }
    }

    private function leaveAxe(): void
    {
        if ($this->brings !== '') {
            (new ChromeDevToolsDriver($this->driver))->execute('Page.removeScriptToEvaluateOnNewDocument', [
                'identifier' => $this->brings,
            ]);
            $this->brings = '';
        }
    }

    /** Whether the page is wider than the window. */
    public function scrollsSideways(): bool
    {
        return $this->driver->executeScript('return document.documentElement.scrollWidth > window.innerWidth') ===
            true;
    }

    /**
     * What the console complained of since the last look.
     *
     * @return list<string>
     */
    public function troubles(): array
    {
        return array_values(
            array_map(
                fn (array $l): string => $l['message'],
                array_filter(
                    $this->driver->manage()->getLog('browser'),
                    fn (array $l): bool => in_array($l['level'], ['SEVERE', 'WARNING'], true),
                ),
            ),
        );
    }

    public function picture(string $file): void
    {
        $this->driver->takeScreenshot($file);
    }

    /** Whether it is so; a page that is written again under the look is looked at again. */
    private static function holds(callable $is): bool
    {
        try {
            return $is();
        } catch (StaleElementReferenceException|ElementNotInteractableException|UnknownErrorException) {
            return false;
        }
    }

    /** @param  callable(): bool  $is */
    public function wait(callable $is, string $for, ?float $patience = null): void
    {
        $until = microtime(true) + ($patience ?? $this->patience);
        while (! self::holds($is)) {
            if (microtime(true) > $until) {
                throw new RuntimeException(
                    "Waited $this->patience s for $for, at {$this->path()}:\n".mb_substr($this->text(), 0, 1500),
                );
            }
            usleep(40_000);
        }
    }

    private static function freePort(): int
    {
        $socket = stream_socket_server('tcp://127.0.0.1:0') ?: throw new RuntimeException('no port is free');
        $port = (int) substr((string) strrchr((string) stream_socket_get_name($socket, false), ':'), 1);
        fclose($socket);

        return $port;
    }
}
