<?php

namespace Tests\Browser;

use Facebook\WebDriver\Chrome\ChromeOptions;
use Facebook\WebDriver\Exception\TimeoutException;
use Facebook\WebDriver\Remote\DesiredCapabilities;
use Facebook\WebDriver\Remote\RemoteWebDriver;
use Facebook\WebDriver\WebDriverBy;
use Tests\Support\BenchUnderTest;
use Tests\TestCase;

/** Runs the application in PHP's built-in server and Chromium through chromedriver, all on loopback. */
abstract class BrowserTestCase extends TestCase
{
    use PrintsPages;
    use WalksPaths;

    /** Chromium without a window: what people see is drawn the same, at two thirds of the work. */
    private const BROWSER = 'chrome-headless-shell';

    private static ?BenchUnderTest $bench = null;

    /** One for all tests of a file: starting it takes longer than most of them. */
    private static ?RemoteWebDriver $browser = null;

    protected function setUp(): void
    {
        parent::setUp();

        self::underTest();
    }

    protected function tearDown(): void
    {
        $this->clearWorkshop();
        self::$browser === null || $this->forget();

        parent::tearDown();
    }

    public static function tearDownAfterClass(): void
    {
        self::$browser?->quit();
        self::$browser = null;
        self::$bench?->stop();
        self::$bench = null;

        parent::tearDownAfterClass();
    }

    /**
     * Takes files away before the tables are emptied: a look of the watcher that saw a file of this test would
     * record it among the next one's.
     */
    private function clearWorkshop(): void
    {
        foreach (glob(self::workshop().'/{shelf,sticks}/*', GLOB_BRACE) ?: [] as $file) {
            unlink($file);
        }
    }

    private static function underTest(): BenchUnderTest
    {
        return self::$bench ??= new BenchUnderTest;
    }

    public function browser(): RemoteWebDriver
    {
        if (self::$browser === null) {
            $options = (new ChromeOptions)->setBinary('/usr/bin/chromium-headless-shell')->addArguments([
                '--headless', '--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run',
                '--disable-background-networking', '--disable-component-update', '--disable-sync',
                '--disable-dev-shm-usage', '--hide-scrollbars', '--force-device-scale-factor=1',
                '--window-size=1280,800',
                // No page lives long enough for its scripts to be worth compiling well.
                '--js-flags=--no-opt',
                // What moves is drawn sixty times a second.
                '--force-prefers-reduced-motion', '--in-process-gpu',
                '--user-data-dir='.self::underTest()->scratch.'/profile-'.bin2hex(random_bytes(4)),
            ]);
            $capabilities = (new DesiredCapabilities)->setBrowserName(self::BROWSER)
                ->setCapability(ChromeOptions::CAPABILITY, $options);
            self::$browser = RemoteWebDriver::create(self::underTest()->driverUrl, $capabilities, 20_000, 60_000);
            $this->resize(1280, 800);
        }

        return self::$browser;
    }

    /** Leaves nothing of a test to the next: no cookie, nothing stored, no size or medium set. */
    private function forget(): void
    {
        $this->browser()->get('about:blank');
        $this->developer('Network.clearBrowserCookies');
        $this->developer('Storage.clearDataForOrigin', ['origin' => self::underTest()->url, 'storageTypes' => 'all']);
        $this->developer('Emulation.setEmulatedMedia', ['media' => '', 'features' => []]);
        $this->developer('Emulation.setScriptExecutionDisabled', ['value' => false]);
        $this->resize(1280, 800);
    }

    /** @param  array<string, mixed>  $parameters  of a command of the browser's developer tools */
    public function developer(string $command, array $parameters = []): mixed
    {
        return $this->browser()->executeCustomCommand('/session/:sessionId/goog/cdp/execute', 'POST', [
            'cmd' => $command,
            'params' => (object) $parameters,
        ]);
    }

    public function resize(int $width, int $height): void
    {
        $size = ['width' => $width, 'height' => $height, 'deviceScaleFactor' => 1, 'mobile' => false];
        $this->developer('Emulation.setDeviceMetricsOverride', $size);
    }

    /** Presses keys as a person does, wherever the focus is. */
    public function press(string ...$keys): void
    {
        $this->browser()->getKeyboard()->sendKeys($keys);
    }

    /** Waits until the page shows a text and stands still; says what it shows instead. */
    public function see(string $text, int $seconds = 40): void
    {
        try {
            $this->browser()->wait($seconds, 60)->until(
                fn (): bool => $this->standsStill() && str_contains($this->text(), $text),
            );
        } catch (TimeoutException) {
            $instead = mb_substr((string) preg_replace('/\s+/', ' ', $this->text()), 0, 900);
            throw new TimeoutException("The page does not show \"{$text}\". It shows: {$instead}");
        }
    }

    /** Nothing of the page is being put in: its words may stand there before its scripts know of them. */
    public function standsStill(): bool
    {
        return (bool) $this->browser()->executeScript(
            'return document.readyState === "complete" && !document.querySelector(".htmx-swapping, .htmx-settling")',
        );
    }

    public function text(): string
    {
        return (string) $this->browser()->executeScript('return document.body.innerText');
    }

    public function path(): string
    {
        return (string) $this->browser()->executeScript('return location.pathname + location.search');
    }

    public function signIn(string $login): void
    {
        $this->visit('/login');
        $this->browser()->findElement(WebDriverBy::id('login'))->sendKeys($login);
        $this->browser()->findElement(WebDriverBy::id('password'))->sendKeys("quillport\n");
        $this->see('Bench');
    }

    /** @return list<string> serious accessibility faults that axe finds, with where */
    public function axe(): array
    {
        $script = <<<'JS'
        const done = arguments[0];
        const look = async () => {
            const found = await axe.run(document, {resultTypes: ['violations'], preload: false});
            done(found.violations.filter((one) => ['serious', 'critical'].includes(one.impact)).map((one) => {
                const where = one.nodes.map((node) => `${node.target.join(' ')} ${node.any[0]?.message || ''}`);

                return `${one.id}: ${where.slice(0, 4).join(' | ')}`;
            }));
        };
        if (window.axe) return look();
        const script = document.createElement('script');
        script.src = '/axe.min.js';
        script.onload = look;
        document.head.append(script);
        JS;
        $this->browser()->manage()->timeouts()->setScriptTimeout(30);
        $found = $this->browser()->executeAsyncScript($script);

        return array_values((array) $found);
    }

    public function visit(string $path): RemoteWebDriver
    {
        $this->follows = null;

        return $this->browser()->get(self::underTest()->url.$path);
    }

    /** Folder of the shelf and sticks that the server under test uses. */
    public static function workshop(): string
    {
        return self::underTest()->workshop();
    }

    /** @return list<string> what is wrong with the page that is open, at this width and in these colours */
    public function faultsOf(string $page, int $width, string $scheme): array
    {
        $faults = [];
        $wide = (int) $this->browser()->executeScript('return document.documentElement.scrollWidth');
        if ($wide > $width) {
            $faults[] = "{$page} at {$width}: {$wide} wide";
        }
        // Dark colours and the narrow layout are the same for every page of a kind: one of each kind is enough there.
        $oneOfEach = '#/(run|assessment|memory|intake|new|handover)$|^/$|^/jobs/\\d+$#';
        foreach ($scheme === 'light' || preg_match($oneOfEach, $page) === 1 ? $this->axe() : [] as $fault) {
            $faults[] = "{$page} {$scheme}: {$fault}";
        }
        $foreign = (array) $this->browser()->executeScript(
            'return performance.getEntriesByType("resource").map((r) => r.name).filter((n) => '
                .'!n.startsWith(location.origin) && !n.startsWith("data:"))',
        );

        return [...$faults, ...array_map(static fn (mixed $from): string => "{$page} loads {$from}", $foreign)];
    }
}
