<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Actions\ReadInventory;
use App\Catalogue\CatalogueFolder;
use App\Devices\Packages\ShelfFolder;
use App\Devices\Packages\Unreadable;
use App\Documents\DocumentFault;
use Cobblestone\Catalogue\Catalogue;
use Cobblestone\Catalogue\UnknownEntry;
use Cobblestone\Drivers\Audit\AuditDocument;
use Cobblestone\Drivers\Audit\DeviceReading;
use Cobblestone\Drivers\Audit\DriverAudit;
use Cobblestone\Drivers\Matching\DeviceMatch;
use Cobblestone\Drivers\Matching\DriverShelf;
use Cobblestone\Drivers\Matching\MatchTarget;
use Cobblestone\Drivers\Matching\Refusal;
use Cobblestone\Drivers\Matching\RefusalWords;
use Cobblestone\Machine\Device;
use InvalidArgumentException;

/** Which package for which device, without a database; and what a second look at the devices shows (D3, D7). */
final class DriversCommand extends PlainCommand
{
    use SaidWords;

    protected $signature = 'cobblestone:drivers
        {what : match, or audit}
        {readings?* : for an audit: device lists, in the order in which they were taken}
        {--devices= : a device list, in any form that intake reads}
        {--shelf= : a folder of packages: manifests, archives, folders with setup-information files}
        {--system= : a system of the catalogue}
        {--catalogue= : a folder of catalogue files}
        {--model= : a machine of the catalogue}
        {--build= : build of the system}
        {--channel=stable : stable or preview, what is taken first}
        {--enforced : the system takes only what is signed}
        {--json : as JSON}';

    protected $description = 'Finds the driver package of each device on a list';

    public function handle(): int
    {
        try {
            return match ($this->said('what')) {
                'match' => $this->match(),
                'audit' => $this->audit(),
                default => throw new InvalidArgumentException('There is: cobblestone:drivers match, and audit'),
            };
        } catch (DocumentFault|UnknownEntry|InvalidArgumentException $e) {
            $this->getOutput()->getErrorStyle()->writeln($e->getMessage());

            return self::FAILURE;
        }
    }

    private function match(): int
    {
        $catalogue = CatalogueFolder::read(
            (string) ($this->chosen('catalogue') ?? config('cobblestone.catalogue')),
        )->catalogue();
        $system = $catalogue->system($this->wanted('system', 'a system of the catalogue'));
        $folder = $this->wanted('shelf', 'a folder of packages');
        if (! is_dir($folder)) {
            throw new InvalidArgumentException("{$folder}: there is no such folder.");
        }
        $devices = $this->devices($this->wanted('devices', 'a device list'));
        $shelf = ShelfFolder::read($folder);
        $matches = (new DriverShelf($shelf->offers))->match($devices, $this->target($catalogue), $system->brings);

        return $this->option('json')
            ? $this->asJson($matches, $shelf->unreadable)
            : $this->told($matches, $shelf->unreadable, $system->name);
    }

    private function audit(): int
    {
        $readings = [];
        foreach ((array) $this->argument('readings') as $file) {
            $readings[] = new DeviceReading(basename((string) $file), $this->devices((string) $file));
        }
        if ($readings === []) {
            throw new InvalidArgumentException('Name the device lists, the first one first.');
        }
        $audit = new DriverAudit($readings);
        $this->option('json')
            ? $this->printed(AuditDocument::of($audit))
            : array_map($this->line(...), AuditDocument::lines($audit));

        return self::SUCCESS;
    }

    private function target(Catalogue $catalogue): MatchTarget
    {
        $system = $catalogue->system((string) $this->chosen('system'));
        $model = $this->chosen('model') === null ? null : $catalogue->machine($this->chosen('model'));
        $build = $this->chosen('build');
        if ($build !== null && ! ctype_digit($build)) {
            throw new InvalidArgumentException("--build={$build}: a build is a whole number.");
        }

        return new MatchTarget(
            $system->id,
            $model->architecture ?? $system->needs->architectures[0] ?? null,
            $build === null ? $system->build : (int) $build,
            $model?->id,
            null,
            ! $system->noSetupFiles,
            (bool) $this->option('enforced'),
            (string) $this->chosen('channel'),
        );
    }

    /** @return list<Device> */
    private function devices(string $file): array
    {
        if (! is_file($file)) {
            throw new InvalidArgumentException("{$file}: there is no such file.");
        }
        $read = (new ReadInventory(now()->utc()->format('Y-m-d\TH:i\Z')))->file($file, basename($file));
        $devices = [];
        foreach ($read->readings as $reading) {
            foreach ($reading->devices as $device) {
                $devices[] = $device;
            }
            foreach ($reading->notes as $note) {
                $this->getOutput()->getErrorStyle()->writeln($note);
            }
        }
        if ($devices === []) {
            throw new InvalidArgumentException(
                "{$file}: no device was found in it. ".implode(' ', $read->problems),
            );
        }

        return $devices;
    }

    private function wanted(string $option, string $what): string
    {
        return $this->chosen($option) ?? throw new InvalidArgumentException("Name {$what} by --{$option}=");
    }

    /**
     * @param  list<DeviceMatch>  $matches
     * @param  list<Unreadable>  $unreadable
     */
    private function asJson(array $matches, array $unreadable): int
    {
        $this->printed([
            'devices' => array_map(self::row(...), $matches),
            'unreadable' => array_map(get_object_vars(...), $unreadable),
        ]);

        return self::SUCCESS;
    }

    /** @param  array<string, mixed>  $document */
    private function printed(array $document): void
    {
        $this->output->writeln(
            (string) json_encode(
                $document,
                JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES
                    | JSON_INVALID_UTF8_SUBSTITUTE | JSON_THROW_ON_ERROR,
            ),
            16,
        );
    }

    /** @return array<string, mixed> */
    private static function row(DeviceMatch $match): array
    {
        $package = $match->package;

        return [
            'name' => $match->device->name,
            'id' => $match->device->identifier,
            'brings' => $match->brings,
            'package' => $package === null ? null : [
                'id' => $package->id,
                'source' => $package->source,
                'setup_file' => $package->setupFile,
                'version' => $package->version,
                'date' => $package->date,
                'identifier' => $match->identifier,
            ],
            'refused' => array_map(
                static fn (Refusal $refusal): array => [
                    'source' => $refusal->offer()->source,
                    'setup_file' => $refusal->offer()->setupFile,
                    'why' => $refusal->because->value,
                ],
                $match->refused,
            ),
            'missing' => $match->isMissing(),
        ];
    }

    /**
     * @param  list<DeviceMatch>  $matches
     * @param  list<Unreadable>  $unreadable
     */
    private function told(array $matches, array $unreadable, string $system): int
    {
        foreach ($matches as $match) {
            $package = $match->package;
            $this->line("{$match->device->name} · {$match->device->identifier}");
            $this->line('    '.match (true) {
                $package !== null => $package->source
                    .($package->setupFile === null ? '' : ", {$package->setupFile}")
                    ." · {$package->version} · {$package->date} · claims {$match->identifier}",
                $match->brings => "{$system} brings its driver",
                default => 'no driver',
            });
            foreach ($match->refused as $refusal) {
                $this->line("    not {$refusal->offer()->source}: ".RefusalWords::of($refusal));
            }
        }
        foreach ($unreadable as $item) {
            $this->line("not read: {$item->source}: {$item->why}");
        }

        return self::SUCCESS;
    }
}
