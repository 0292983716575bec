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
        $architecture = $image->architecture ?? $this->architecture();
        $loader = new Loader(FoundLoader::defaultPath($architecture), $architecture, signed: $image->loaderSigned(), signer: $image->signer(), judged: $this->context->machine->fact('stick.refused')->is('yes') && $this->context->imageSigner()?->switch === null ? LoaderTrust::SignerNotEnrolled : null, because: '');
        $raw = WriteMode::for($image) === WriteMode::Raw;
        $legacy = match (true) {
            ! $raw => LegacyCode::Zeros,
            $image->hasLegacyLoader() => LegacyCode::Starts,
            $image->loaderSigned() === null => LegacyCode::Unknown,
            default => LegacyCode::Zeros,
        };

        return new Medium(Leads::Installer, $raw ? 'the image brings its own '
            .'table' : 'the table we write', null, [new Volume('The partition to start '
            .'from', true, $image->startsByUefi() ? [$loader] : [])], $legacy, controllerModes: $this->context->system->controllerModes ?? []);
    }

    /**
     * Internal drives besides the target: one with an EFI system partition may hold a system that starts by itself.
     *
     * @return list<array{title: string, medium: Medium}>
     */
    public function others(): array
    {
        $target = TargetDrive::choose($this->context->machine)->drive;
        $drives = array_values(array_filter($this->context->machine->internalDrives(), static fn (Drive $drive): bool => $drive !== $target));
        if ($target === null || $this->context->kind()->fitsDrive()) {
            return [];
        }

        return array_map(function (Drive $drive): array {
            $starts = array_filter($drive->partitions, static fn (Partition $partition): bool => PartitionType::fromGuid(strtoupper((string) $partition->type)) === PartitionType::EfiSystem) !== [];
            $loader = new Loader(FoundLoader::defaultPath($this->architecture()), $this->architecture(), judged: $this->inForce() ? LoaderTrust::Trusted : null, signed: null);

            return ['title' => "The drive {$drive->path}", 'medium' => $starts ? new Medium(Leads::OldSystem, 'a GPT', null, [new Volume('The EFI system partition', true, [$loader], "{$drive->path}-efi")], LegacyCode::Zeros) : Medium::blank()];
        }, $drives);
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
            return new Medium($leads, 'an MBR', null, [new Volume('The partition marked '
                .'active', false)], LegacyCode::Starts, controllerModes: $modes);
        }
        $loader = fn (string $path): Loader => new Loader($path, $this->architecture(), judged: $this->inForce() ? LoaderTrust::Trusted : null, signed: $isOld ? null : $this->signed(), signer: $isOld ? null : $this->signer(), because: $this->inForce() ? 'It starts today with Secure Boot in force.' : '');

        return new Medium($leads, 'a GPT', null, [new Volume('The EFI system '
            .'partition', true, [$loader(self::PRESENT_PATH), $loader(FoundLoader::defaultPath($this->architecture()))], self::PRESENT_GUID)], LegacyCode::Zeros, controllerModes: $modes);
    }

    /** The drive once the wanted system is on it. */
    public function system(bool $installs): ?Medium
    {
        if (! $installs || $this->context->system === null) {
            return null;
        }
        $loader = fn (string $path): Loader => new Loader($path, $this->architecture(), signed: $this->signed(), signer: $this->signer());
        $mode = $this->context->system->firmware->bootMode;

        return new Medium(Leads::WantedSystem, 'a GPT', null, [new Volume('The EFI system '
            .'partition', true, [$loader($this->systemPath()), $loader(FoundLoader::defaultPath($this->architecture()))], self::SYSTEM_GUID)], $mode === 'uefi' ? LegacyCode::Zeros : LegacyCode::Starts, controllerModes: $this->context->system->controllerModes);
    }

    public function systemEntry(): ?BootEntry
    {
        return $this->context->system === null || ($this->facts['firmware.kind'] ?? null) === 'sealed' ? null
            : new BootEntry('system', $this->context->system->name, BootScene::TARGET, self::SYSTEM_GUID, $this->systemPath());
    }

    /** The maker's recovery, signed by the platform's own signer. */
    public function recovery(): Medium
    {
        return new Medium(Leads::Recovery, 'a GPT', null, [new Volume('The recovery '
            .'partition', true, [new Loader(FoundLoader::defaultPath($this->architecture()), $this->architecture(), signed: true, signer: $this->usualSigner(), judged: LoaderTrust::Trusted)])], LegacyCode::Zeros);
    }

    private function systemPath(): string
    {
        return "EFI/{$this->context->system?->id}/loader.efi";
    }

    private function startsOldWay(?Drive $drive): bool
    {
        return $drive?->table !== null ? in_array($drive->table, ['dos', 'mbr'], true) : in_array($this->facts['firmware.boot_mode'] ?? null, ['legacy'], true) || ($this->facts['firmware.kind'] ?? null) === 'bios';
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
