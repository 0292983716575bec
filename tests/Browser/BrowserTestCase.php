<?php

namespace Tests\Browser;

use Facebook\WebDriver\Chrome\ChromeOptions;
use Facebook\WebDriver\Remote\DesiredCapabilities;
use Facebook\WebDriver\Remote\RemoteWebDriver;
use Facebook\WebDriver\WebDriverBy;
use Symfony\Component\Process\Process;
use Tests\Support\LocalProcess;
use Tests\TestCase;

/** Runs the application in PHP's built-in server and Chromium through chromedriver, all on loopback. */
abstract class BrowserTestCase extends TestCase
{
    use WalksPaths;

    private const SERVES = '-d opcache.enable_cli=1 -d opcache.file_cache_only=0 -d opcache.revalidate_freq=0';

    private const ROUTER = 'vendor/laravel/framework/src/Illuminate/Foundation/resources/server.php';

    private static ?Process $server = null;

    private static ?Process $driver = null;

    private static ?Process $worker = null;

    private static ?Process $watch = null;

    private static string $baseUrl = '';

    private static string $driverUrl = '';

    private static string $scratch = '';

    /** One for all tests of a file: starting it takes longer than most of them. */
    private static ?RemoteWebDriver $browser = null;

    protected function setUp(): void
    {
        parent::setUp();

        if (self::$server === null) {
            self::startProcesses();
        }
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
        LocalProcess::stop(self::$watch);
        LocalProcess::stop(self::$worker);
        LocalProcess::stop(self::$driver);
        LocalProcess::stop(self::$server);
        self::$watch = self::$worker = self::$driver = self::$server = null;
        if (self::$scratch !== '') {
            (new \Illuminate\Filesystem\Filesystem)->deleteDirectory(self::$scratch);
        }

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

    public function browser(): RemoteWebDriver
    {
        if (self::$browser === null) {
            $options = (new ChromeOptions)->setBinary('/usr/bin/chromium')->addArguments([
                '--headless=new', '--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run',
                '--disable-background-networking', '--disable-component-update', '--disable-sync',
                '--disable-dev-shm-usage', '--hide-scrollbars', '--force-device-scale-factor=1',
                '--window-size=1280,800', '--user-data-dir='.self::$scratch.'/profile-'.bin2hex(random_bytes(4)),
            ]);
            $capabilities = DesiredCapabilities::chrome()->setCapability(ChromeOptions::CAPABILITY, $options);
            self::$browser = RemoteWebDriver::create(self::$driverUrl, $capabilities, 20_000, 60_000);
            $this->resize(1280, 800);
        }

        return self::$browser;
    }

    /** Leaves nothing of a test to the next: no cookie, nothing stored, no size or medium set. */
    private function forget(): void
    {
        $this->browser()->get('about:blank');
        $this->developer('Network.clearBrowserCookies');
        $this->developer('Storage.clearDataForOrigin', ['origin' => self::$baseUrl, 'storageTypes' => 'all']);
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

    /** Waits until the page shows a text. */
    public function see(string $text, int $seconds = 8): void
    {
        $this->browser()->wait($seconds, 60)->until(
            fn (RemoteWebDriver $browser): bool => str_contains(
                (string) $browser->executeScript('return document.body.innerText'),
                $text,
            ),
            "The page does not show \"{$text}\"."
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
        $this->browser()->executeScript((string) file_get_contents(base_path('node_modules/axe-core/axe.min.js')));
        $this->browser()->manage()->timeouts()->setScriptTimeout(30);
        $found = $this->browser()->executeAsyncScript(
            'const done = arguments[0]; axe.run(document, {resultTypes: ["violations"]}).then((r) => '
                .'done(r.violations.filter((v) => ["serious", "critical"].includes(v.impact)).map((v) => v.id + ": " '
                    .'+ v.nodes.map((n) => n.target.join(" ") + " " + (n.any[0]?.message || "")).slice(0, 4).join(" '
                        .'| "))));',
        );

        return array_values((array) $found);
    }

    public function visit(string $path): RemoteWebDriver
    {
        return $this->browser()->get(self::$baseUrl.$path);
    }

    private static function startProcesses(): void
    {
        self::$scratch = sys_get_temp_dir().'/browser-'.getmypid();
        mkdir(self::workshop().'/shelf', recursive: true);
        mkdir(self::workshop().'/signers');
        mkdir(self::workshop().'/state');
        mkdir(self::workshop().'/compiled');

        [$webPort, $driverPort] = [LocalProcess::freePort(), LocalProcess::freePort()];
        self::$baseUrl = "http://127.0.0.1:{$webPort}";
        self::$driverUrl = "http://127.0.0.1:{$driverPort}";

        $environment = self::environment();
        self::$server = new Process(
            // One process that serves every page keeps what it compiled in memory.
            [
                'setsid',
                PHP_BINARY,
                ...explode(' ', self::SERVES),
                '-S',
                "127.0.0.1:{$webPort}",
                base_path(self::ROUTER),
            ],
            public_path(),
            $environment + ['PHP_CLI_SERVER_WORKERS' => '4'],
            timeout: null,
        );
        self::$worker = new Process(
            [
                'setsid',
                PHP_BINARY,
                '-d',
                'pcov.enabled=0',
                base_path('artisan'),
                'queue:work',
                '--queue=default,hash,builds',
                '--sleep=0.2',
                '--tries=0',
                '--timeout=0',
            ],
            base_path(),
            $environment,
            timeout: null,
        );
        self::$worker->disableOutput();
        self::$worker->start();
        self::$watch = new Process(
            ['setsid', PHP_BINARY, '-d', 'pcov.enabled=0', base_path('artisan'), 'cobblestone:watch'],
            base_path(),
            $environment,
            timeout: null,
        );
        self::$watch->disableOutput();
        self::$watch->start();
        self::$driver = new Process(
            ['setsid', '/usr/bin/chromedriver', "--port={$driverPort}", '--log-level=WARNING'],
            timeout: null,
        );

        foreach ([[self::$server, $webPort], [self::$driver, $driverPort]] as [$process, $port]) {
            $process->disableOutput();
            $process->start();
            LocalProcess::waitFor($process, $port);
        }
    }

    /** Folder of the shelf and sticks that the server under test uses. */
    public static function workshop(): string
    {
        return self::$scratch.'/workshop';
    }

    /** @return array<string, string> what server and worker are told */
    private static function environment(): array
    {
        return [
            'APP_ENV' => 'testing',
            'APP_KEY' => config('app.key'),
            'APP_URL' => self::$baseUrl,
            'APP_CONFIG_CACHE' => 'bootstrap/cache/config.testing.php',
            'APP_ROUTES_CACHE' => 'bootstrap/cache/routes.testing.php',
            // The server's own folder is public/: a relative path would put the compiled views there.
            'VIEW_COMPILED_PATH' => base_path(config('view.compiled')),
            'COBBLESTONE_SHELF' => self::workshop().'/shelf',
            'COBBLESTONE_STICKS' => self::workshop().'/sticks',
            'COBBLESTONE_SIGNERS' => self::workshop().'/signers',
            'DB_DATABASE' => config('database.connections.pgsql.database'),
            'DB_PORT' => (string) config('database.connections.pgsql.port'),
            'DB_USERNAME' => config('database.connections.pgsql.username'),
            'DB_PASSWORD' => config('database.connections.pgsql.password'),
            'DB_QUEUE_TABLE' => 'queue_jobs',
            'DB_QUEUE_RETRY_AFTER' => '20',
            'COBBLESTONE_STATE' => self::workshop().'/state',
            'COBBLESTONE_COMPILED' => self::workshop().'/compiled',
            'LOG_CHANNEL' => 'single',
            'SESSION_DRIVER' => 'database',
            'CACHE_STORE' => 'database',
            'QUEUE_CONNECTION' => 'database',
        ];
    }
}
