<?php

namespace Tests\Support;

use Illuminate\Filesystem\Filesystem;
use Symfony\Component\Process\Process;

/** The application as a browser meets it, in PHP's built-in server, with its worker, its watcher and a chromedriver. */
final class BenchUnderTest
{
    /** One process that serves every page keeps what it compiled in memory. */
    private const SERVES = ['-d', 'opcache.enable_cli=1', '-d', 'opcache.file_cache_only=0', '-d',
        'opcache.revalidate_freq=0', '-d', 'apc.enable_cli=1', '-d', 'apc.serializer=igbinary'];

    private const ROUTER = 'tests/Support/server.php';

    private const WORKS = [
        'queue:work', '--queue=default,hash,builds,starts', '--sleep=0.2', '--tries=0', '--timeout=0',
    ];

    public readonly string $url;

    public readonly string $driverUrl;

    public readonly string $scratch;

    /** @var list<Process> */
    private array $processes = [];

    public function __construct()
    {
        $this->scratch = sys_get_temp_dir().'/browser-'.getmypid();
        foreach (['shelf', 'signers', 'state', 'compiled'] as $folder) {
            mkdir("{$this->workshop()}/{$folder}", recursive: true);
        }
        [$webPort, $driverPort] = [LocalProcess::freePort(), LocalProcess::freePort()];
        $this->url = "http://127.0.0.1:{$webPort}";
        $this->driverUrl = "http://127.0.0.1:{$driverPort}";
        $told = $this->environment();
        $artisan = [PHP_BINARY, '-d', 'pcov.enabled=0', base_path('artisan')];
        $this->start([...$artisan, ...self::WORKS], base_path(), $told);
        $this->start([...$artisan, 'cobblestone:watch'], base_path(), $told);
        $serve = [PHP_BINARY, ...self::SERVES, '-S', "127.0.0.1:{$webPort}", base_path(self::ROUTER)];
        LocalProcess::waitFor(
            $this->start($serve, public_path(), $told + ['PHP_CLI_SERVER_WORKERS' => '4']),
            $webPort,
        );
        $drive = ['/usr/bin/chromedriver', "--port={$driverPort}", '--log-level=WARNING'];
        LocalProcess::waitFor($this->start($drive, null, []), $driverPort);
    }

    /** Folder of the shelf and sticks that the server uses. */
    public function workshop(): string
    {
        return "{$this->scratch}/workshop";
    }

    public function stop(): void
    {
        array_map(LocalProcess::stop(...), $this->processes);
        (new Filesystem)->deleteDirectory($this->scratch);
    }

    /**
     * @param  list<string>  $command
     * @param  array<string, string>  $told
     */
    private function start(array $command, ?string $folder, array $told): Process
    {
        $process = new Process(['setsid', ...$command], $folder, $told, timeout: null);
        $process->disableOutput();
        $process->start();

        return $this->processes[] = $process;
    }

    /** @return array<string, string> what server and worker are told */
    private function environment(): array
    {
        return [
            'APP_ENV' => 'testing',
            'APP_KEY' => config('app.key'),
            'APP_URL' => $this->url,
            'APP_CONFIG_CACHE' => 'bootstrap/cache/config.testing.php',
            'APP_ROUTES_CACHE' => 'bootstrap/cache/routes.testing.php',
            // The server's own folder is public/: a relative path would put the compiled views there.
            'VIEW_COMPILED_PATH' => base_path(config('view.compiled')),
            'COBBLESTONE_SHELF' => $this->workshop().'/shelf',
            'COBBLESTONE_STICKS' => $this->workshop().'/sticks',
            'COBBLESTONE_SIGNERS' => $this->workshop().'/signers',
            'COBBLESTONE_STATE' => $this->workshop().'/state',
            'COBBLESTONE_KEPT' => base_path('var/test/kept'),
            'COBBLESTONE_COMPILED' => $this->workshop().'/compiled',
            'DB_DATABASE' => config('database.connections.pgsql.database'),
            'DB_PORT' => (string) config('database.connections.pgsql.port'),
            'DB_PERSISTENT' => 'true',
            'DB_USERNAME' => config('database.connections.pgsql.username'),
            'DB_PASSWORD' => config('database.connections.pgsql.password'),
            'DB_QUEUE_TABLE' => 'queue_jobs',
            'DB_QUEUE_RETRY_AFTER' => '20',
            'LOG_CHANNEL' => 'single',
            'SESSION_DRIVER' => 'bench',
            'CACHE_STORE' => 'database',
            'QUEUE_CONNECTION' => 'database',
        ];
    }
}
