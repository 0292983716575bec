<?php

declare(strict_types=1);

namespace Cobblestone\Catalogue;

use Cobblestone\Document\Copy;
use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Document\Written;
use Cobblestone\Machine\Identifier\AliasList;

/** What an operating system needs, brings and asks. */
final readonly class SystemProfile
{
    /**
     * @param  list<SystemPartition>  $partitions
     * @param  list<string>  $editions
     * @param  array<array-key, Ceiling>  $ceilings  edition => what it uses
     * @param  list<Gap>  $gaps
     * @param  list<string>  $controllerModes
     * @param  int|null  $driverFetchMinutes  for so long it fetches drivers by itself once it is online
     * @param  int|null  $installedBytes  what it takes of its partition once it is installed and updated, about
     * @param  SwapProfile|null  $swap  null where it sees to it itself
     * @param  list<InstallerScreen>  $screens  pages of its installer up to the drive, in order
     * @param  AliasList  $brings  the devices it has drivers for by itself
     * @param  int|null  $build  of the version that the bench installs; an image may say another
     * @param  string|null  $safeMode  how its safe mode is started from the running system
     * @param  string|null  $setupFileWay  where it takes a driver from a folder with a setup-information file
     * @param  string|null  $checksums  the command by which the running system writes checksums of a folder
     * @param  list<string>  $upgradesFrom  systems it is installed over in place, everything kept
     * @param  SystemReads  $reads  where the installed system shows what a finished machine is read for
     * @param  bool  $noSetupFiles  whether it installs nothing from setup-information files
     * @param  bool  $enforcesSignatures  whether it takes only drivers that are signed
     */
    public function __construct(
        public string $id,
        public string $name,
        public string $asOf,
        public string $source,
        public SystemFirmware $firmware,
        public array $partitions,
        public InstallProfile $install,
        public FirstBootProfile $firstBoot,
        public UpdateProfile $updates,
        public array $editions = [],
        public SystemNeeds $needs = new SystemNeeds(),
        public bool $activation = false,
        public ?string $family = null,
        public ?Bypass $bypass = null,
        public array $ceilings = [],
        public ?string $supportEnds = null,
        public array $gaps = [],
        public bool $autoEncryption = false,
        public ?int $rollbackDays = null,
        public ?int $upgradeFreeBytes = null,
        public ?string $repairInstallFrom = null,
        public array $controllerModes = [],
        public AliasList $brings = new AliasList(),
        public ?int $build = null,
        public bool $noSetupFiles = false,
        public bool $enforcesSignatures = false,
        public ?AnswerFileProfile $answerFile = null,
        public array $screens = [],
        public ?SwapProfile $swap = null,
        public ?int $installedBytes = null,
        public ?int $driverFetchMinutes = null,
        public array $upgradesFrom = [],
        public ?string $safeMode = null,
        public ?string $setupFileWay = null,
        public ?string $checksums = null,
        public SystemReads $reads = new SystemReads(),
    ) {
    }

    /**
     * @param  array<array-key, mixed>  $document  a document that the systems schema accepts
     *
     * @throws FieldFault with the path of what does not fit
     */
    public static function fromArray(array $document): self
    {
        return self::read(Fields::of($document));
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        return new self(
            $fields->wants('partitions')->string('id'),
            $fields->string('name'),
            $fields->string('as_of'),
            $fields->string('source'),
            SystemFirmware::read($fields->block('firmware')),
            $fields->each('partitions', SystemPartition::read(...)),
            InstallProfile::read($fields->block('install')),
            FirstBootProfile::read($fields->block('first_boot')),
            UpdateProfile::read($fields->block('updates')),
            $fields->strings('editions'),
            $fields->optional('needs', SystemNeeds::read(...)) ?? new SystemNeeds(),
            $fields->optionalBool('activation') ?? false,
            $fields->optionalOneOf('family', ['commercial', 'community', 'handheld', 'sealed', 'touch']),
            $fields->optional('bypass', Bypass::read(...)),
            array_map(Ceiling::read(...), $fields->blocks('ceilings')),
            $fields->optionalString('support_ends'),
            $fields->each('gaps', Gap::read(...)),
            $fields->optionalBool('auto_encryption') ?? false,
            $fields->optionalInt('rollback_days'),
            $fields->optionalInt('upgrade_free_bytes'),
            $fields->optionalString('repair_install_from'),
            $fields->strings('controller_modes'),
            new AliasList($fields->strings('brings')),
            $fields->optionalInt('build'),
            $fields->optionalBool('no_setup_files') ?? false,
            $fields->optionalBool('enforces_signatures') ?? false,
            $fields->optional('answer_file', AnswerFileProfile::read(...)),
            $fields->each('screens', InstallerScreen::read(...)),
            $fields->optional('swap', SwapProfile::read(...)),
            $fields->optionalInt('installed_bytes'),
            $fields->optionalInt('driver_fetch_minutes'),
            ...self::ways($fields),
        );
    }

    /**
     * Where things are found and started on it.
     *
     * @return array{upgradesFrom: list<string>, safeMode: string|null, setupFileWay: string|null,
     *     checksums: string|null, reads: SystemReads}
     *
     * @throws FieldFault
     */
    private static function ways(Fields $fields): array
    {
        return [
            'upgradesFrom' => $fields->strings('upgrades_from'),
            'safeMode' => $fields->optionalString('safe_mode'),
            'setupFileWay' => $fields->optionalString('setup_file_way'),
            'checksums' => $fields->optionalString('checksums'),
            'reads' => $fields->optional('reads', SystemReads::read(...)) ?? new SystemReads(),
        ];
    }

    /** The same as an image brings it: drivers and ways in go by the build that is installed, not by the usual one. */
    public function broughtBy(?Image $image): self
    {
        return $image?->build === null || $image->system !== $this->id
            ? $this
            : Copy::of($this, get_object_vars($this), ['build' => $image->build]);
    }

    public function dated(): string
    {
        return "catalogue, {$this->name}, as of {$this->asOf}";
    }

    /** Whether the publisher's check of that need can be passed without meeting it. */
    public function letsPass(string $need): bool
    {
        return in_array($need, $this->bypass->of ?? [], true);
    }

    /** @return array<string, mixed> the same as a document */
    public function toArray(): array
    {
        return Written::of($this);
    }
}
