<?php

declare(strict_types=1);

namespace App\View;

use App\Bridge\WayBridge;
use App\Models\ShelfFile;
use Cobblestone\Catalogue\Catalogue;
use Cobblestone\Catalogue\HostProfile;
use Cobblestone\Catalogue\HostScript;
use Cobblestone\Catalogue\HostTool;
use Cobblestone\Catalogue\Stick;
use Cobblestone\Catalogue\SystemProfile;
use Cobblestone\Media\HostFit;
use Cobblestone\Media\Ways\Way;
use Cobblestone\Media\WriteMode;
use Cobblestone\Storage\Fat32Geometry;

/** How a stick is made on another computer: which kinds can, what is done there, and how it is proven here. */
final readonly class ElsewherePage
{
    /** @var array<string, HostProfile> by identifier */
    public array $hosts;

    /** The kind that is chosen, else the first one that can. */
    public ?HostProfile $host;

    /** @var list<string> why that kind cannot */
    public array $against;

    /** @param  string  $asked  identifier of the kind that somebody chose; empty: none */
    public function __construct(
        public ShelfFile $file,
        public Stick $stick,
        public Way $way,
        public ?string $drivers,
        public ?int $job,
        Catalogue $catalogue,
        string $asked,
    ) {
        $this->hosts = $catalogue->hosts();
        $system = self::systemOf($file, $catalogue);
        $able = array_filter($this->hosts, fn (HostProfile $one): bool => $this->cannot($one, $system) === []);
        $this->host = $this->hosts[$asked] ?? array_values($able)[0] ?? array_values($this->hosts)[0] ?? null;
        $this->against = $this->host === null ? [] : $this->cannot($this->host, $system);
    }

    public function isPossible(): bool
    {
        return $this->host !== null && $this->against === [];
    }

    public function script(): string
    {
        return "/shelf/{$this->file->id}/plan?".http_build_query([
            'stick' => $this->stick->id,
            'way' => $this->way->key,
            'drivers' => $this->drivers,
            'job' => $this->job,
            'host' => $this->host?->id,
            'what' => 'make-stick.sh',
        ]);
    }

    /** What is typed there, to see what would be done. */
    public function command(): string
    {
        return ($this->host?->script === HostScript::Own ? 'sh' : 'bash')." make-stick.sh --image {$this->file->name} "
            ."--on {$this->host?->drive}".($this->drivers === null ? '' : ' --drivers FOLDER');
    }

    /** What lists the drives there. */
    public function drives(): string
    {
        return $this->host?->commands->typed('drives', []) ?? '';
    }

    /** @return list<HostTool> what may be missing there for this way */
    public function lacks(): array
    {
        $compression = $this->file->inspected()->compression['kind'] ?? null;

        return $this->host === null ? []
            : HostFit::lacks($this->host, $this->way->mode, $compression, $this->way->storage);
    }

    /** How it is compared here: to the sector, or by what is on it. */
    public function proof(): string
    {
        return match (true) {
            $this->way->mode === WriteMode::Raw => 'all that was written is compared with the image',
            $this->host?->script === HostScript::Own => 'table, file system and every file are checked; where its '
                .'partition begins is that computer\'s choice',
            default => 'table and file system are compared with the plan to the sector, and every file with the image',
        };
    }

    private static function systemOf(ShelfFile $file, Catalogue $catalogue): ?SystemProfile
    {
        foreach ($catalogue->systems() as $system) {
            if ($system->name === $file->said('line')) {
                return $system;
            }
        }

        return null;
    }

    /** @return list<string> */
    private function cannot(HostProfile $host, ?SystemProfile $system): array
    {
        $largest = (int) ($this->file->inspected()->files['largest']['bytes'] ?? 0);
        $parts = $largest > Fat32Geometry::MAX_FILE;
        $splitter = $parts && WayBridge::splitter($this->file) !== null;
        $newer = HostFit::newer($host, $system?->id, $system?->name, $this->file->said('version') ?: null);

        return [
            ...array_filter([$newer]),
            ...HostFit::cannot($host, $this->way->mode, $parts, $splitter, $this->way->storage),
        ];
    }
}
