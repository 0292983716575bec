<?php

declare(strict_types=1);

namespace Cobblestone\Job;

use Cobblestone\Boot\BootScene;
use Cobblestone\Boot\Medium\Leads;
use Cobblestone\Boot\Medium\LegacyCode;
use Cobblestone\Boot\Medium\Loader;
use Cobblestone\Boot\Medium\Medium;
use Cobblestone\Boot\Medium\Volume;
use Cobblestone\Boot\Model\BootEntry;
use Cobblestone\Catalogue\Image;
use Cobblestone\Install\TargetDrive;
use Cobblestone\Machine\Drive;
use Cobblestone\Machine\Partition;
use Cobblestone\Machine\SecureBootState;
use Cobblestone\Media\Inspection\FoundLoader;
use Cobblestone\Media\Inspection\LoaderTrust;
use Cobblestone\Media\WriteMode;
use Cobblestone\Storage\PartitionType;

/**
 * What firmware will find on the stick, on the drive before, and on the drive afterwards: from image, reading and
 * system profile.
 */
final readonly class SceneMedia
{
    public const PRESENT_PATH = 'EFI/present/loader.efi';

    private const PRESENT_GUID = 'present';

    private const SYSTEM_GUID = 'new';

    /** @param  array<string, bool|int|float|string|null>  $facts */
    public function __construct(private JobContext $context, private array $facts)
    {
    }

    public function stick(): Medium
    {
        $image = $this->context->image();
        $raw = WriteMode::for($image) === WriteMode::Raw;
        $legacy = match (true) {
            ! $raw => LegacyCode::Zeros,
            $image->hasLegacyLoader() => LegacyCode::Starts,
            $image->loaderSigned() === null => LegacyCode::Unknown,
            default => LegacyCode::Zeros,
        };
        $table = $raw ? 'the image brings its own table' : 'the table we write';
        $loaders = $image->startsByUefi() ? [$this->sticksLoader($image)] : [];
        $from = new Volume('The partition to start from', true, $loaders);
        $modes = $this->context->system->controllerModes ?? [];

        return new Medium(Leads::Installer, $table, null, [$from], $legacy, controllerModes: $modes);
    }

    /** One that was refused before, and whose signer no setting lets in, is not enrolled. */
    private function sticksLoader(Image $image): Loader
    {
        $architecture = $image->architecture ?? $this->architecture();
        $refused = $this->context->machine->fact('stick.refused')->is('yes');

        return new Loader(
            FoundLoader::defaultPath($architecture),
            $architecture,
            signed: $image->loaderSigned(),
            signer: $image->signer(),
            judged: $refused && $this->context->imageSigner()?->switch === null ? LoaderTrust::SignerNotEnrolled : null,
            because: '',
        );
    }

    /**
     * Internal drives besides the target: one with an EFI system partition may hold a system that starts by itself.
     *
     * @return list<array{title: string, medium: Medium}>
     */
    public function others(): array
    {
        $target = TargetDrive::choose($this->context->machine)->drive;
        if ($target === null || $this->context->kind()->fitsDrive()) {
            return [];
        }
        $drives = array_values(array_filter(
            $this->context->machine->internalDrives(),
            static fn (Drive $drive): bool => $drive !== $target,
        ));

        return array_map(fn (Drive $drive): array => [
            'title' => "The drive {$drive->path}",
            'medium' => $this->other($drive),
        ], $drives);
    }

    private function other(Drive $drive): Medium
    {
        $starts = array_filter($drive->partitions, static function (Partition $partition): bool {
            return PartitionType::fromGuid(strtoupper((string) $partition->type)) === PartitionType::EfiSystem;
        });
        if ($starts === []) {
            return Medium::blank();
        }
        $trust = $this->inForce() ? LoaderTrust::Trusted : null;
        $path = FoundLoader::defaultPath($this->architecture());
        $loader = new Loader($path, $this->architecture(), judged: $trust, signed: null);
        $from = new Volume('The EFI system partition', true, [$loader], "{$drive->path}-efi");

        return new Medium(Leads::OldSystem, 'a GPT', null, [$from], LegacyCode::Zeros);
    }

    /** The drive as it is now. */
    public function present(bool $isOld): Medium
    {
        $leads = $isOld ? Leads::OldSystem : Leads::WantedSystem;
        $drives = $this->context->machine->internalDrives();
        $drive = count($drives) === 1 ? $drives[0] : TargetDrive::choose($this->context->machine)->drive;
        if ($drive?->isBlank() === true || $this->context->kind()->fitsDrive()) {
            return Medium::blank();
        }
        $mode = $this->facts['firmware.controller_mode'] ?? null;
        $modes = is_string($mode) ? [$mode] : [];
        if ($this->startsOldWay($drive)) {
            $active = new Volume('The partition marked active', false);

            return new Medium($leads, 'an MBR', null, [$active], LegacyCode::Starts, controllerModes: $modes);
        }
        $loaders = [
            $this->presentLoader(self::PRESENT_PATH, $isOld),
            $this->presentLoader(FoundLoader::defaultPath($this->architecture()), $isOld),
        ];
        $from = new Volume('The EFI system partition', true, $loaders, self::PRESENT_GUID);

        return new Medium($leads, 'a GPT', null, [$from], LegacyCode::Zeros, controllerModes: $modes);
    }

    private function presentLoader(string $path, bool $isOld): Loader
    {
        return new Loader(
            $path,
            $this->architecture(),
            judged: $this->inForce() ? LoaderTrust::Trusted : null,
            signed: $isOld ? null : $this->signed(),
            signer: $isOld ? null : $this->signer(),
            because: $this->inForce() ? 'It starts today with Secure Boot in force.' : '',
        );
    }

    /** The drive once the wanted system is on it. */
    public function system(bool $installs): ?Medium
    {
        $system = $this->context->system;
        if (! $installs || $system === null) {
            return null;
        }
        $loader = fn (string $path): Loader => new Loader(
            $path,
            $this->architecture(),
            signed: $this->signed(),
            signer: $this->signer(),
        );
        $loaders = [$loader($this->systemPath()), $loader(FoundLoader::defaultPath($this->architecture()))];
        $from = new Volume('The EFI system partition', true, $loaders, self::SYSTEM_GUID);
        $legacy = $system->firmware->bootMode === 'uefi' ? LegacyCode::Zeros : LegacyCode::Starts;

        return new Medium(
            Leads::WantedSystem,
            'a GPT',
            null,
            [$from],
            $legacy,
            controllerModes: $system->controllerModes,
        );
    }

    public function systemEntry(): ?BootEntry
    {
        $system = $this->context->system;

        return $system === null || ($this->facts['firmware.kind'] ?? null) === 'sealed'
            ? null
            : new BootEntry('system', $system->name, BootScene::TARGET, self::SYSTEM_GUID, $this->systemPath());
    }

    /** The maker's recovery, signed by the platform's own signer. */
    public function recovery(): Medium
    {
        $loader = new Loader(
            FoundLoader::defaultPath($this->architecture()),
            $this->architecture(),
            signed: true,
            signer: $this->usualSigner(),
            judged: LoaderTrust::Trusted,
        );
        $from = new Volume('The recovery partition', true, [$loader]);

        return new Medium(Leads::Recovery, 'a GPT', null, [$from], LegacyCode::Zeros);
    }

    private function systemPath(): string
    {
        return "EFI/{$this->context->system?->id}/loader.efi";
    }

    private function startsOldWay(?Drive $drive): bool
    {
        if ($drive?->table !== null) {
            return in_array($drive->table, ['dos', 'mbr'], true);
        }

        return ($this->facts['firmware.boot_mode'] ?? null) === 'legacy'
            || ($this->facts['firmware.kind'] ?? null) === 'bios';
    }

    private function inForce(): bool
    {
        return SecureBootState::fromValues($this->facts)->inForce === true;
    }

    private function signed(): ?bool
    {
        return match ($this->context->system?->firmware->secureBootAfter) {
            'on' => true, 'off' => false, default => null,
        };
    }

    private function signer(): ?string
    {
        return $this->signed() === true ? ($this->context->system?->firmware->signer ?? $this->usualSigner()) : null;
    }

    private function architecture(): string
    {
        return is_string($this->facts['architecture'] ?? null) ? $this->facts['architecture'] : 'x86-64';
    }

    /** Who signs what machines start as they come; null where the catalogue knows of nobody. */
    private function usualSigner(): ?string
    {
        return $this->context->trustedSigners()->always[0] ?? null;
    }
}
