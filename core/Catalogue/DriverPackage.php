<?php

declare(strict_types=1);

namespace Cobblestone\Catalogue;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Document\Written;
use Cobblestone\Machine\Device;
use Cobblestone\Machine\Identifier\HardwareIdentifier;
use Cobblestone\Machine\Model\MachineModel;
use Cobblestone\Quantity\Bytes;
use Cobblestone\Quantity\Estimate;

/** A driver package on the shelf (rule D2, as far as order and matching need it). */
final readonly class DriverPackage
{
    /** The channel of what its maker calls finished. */
    public const STABLE = 'stable';

    public const CHANNELS = [self::STABLE, 'preview'];

    private const RESTARTS = ['none', 'after', 'at-once'];

    /**
     * @param  list<string>  $claims  identifiers it is for
     * @param  list<string>  $systems
     * @param  string  $restart  none, after or at-once
     * @param  list<int|float>  $minutes  least, likely, most
     * @param  list<string>  $needs  packages that come first
     * @param  list<string>  $models  the only ones it fits; empty for any
     * @param  list<string>  $revisions  of the board, the only ones it fits; empty for any
     * @param  int|null  $fromBuild  least build of the system, null for any
     * @param  int|null  $toBuild  last build of the system, null for any
     * @param  bool  $unsigned  whether it carries no signature
     * @param  list<string>  $conflicts  packages that must not be there with it
     * @param  string|null  $silent  how it installs without asking
     * @param  bool  $withoutAdministrator  whether anybody may install it
     * @param  list<SetupFile>  $setupFiles  what the package itself says, where it was read; empty where a manifest
     *     speaks for it
     * @param  string|null  $file  of the package on the shelf
     */
    public function __construct(
        public string $id,
        public string $name,
        public string $family,
        public array $claims,
        public array $systems,
        public string $architecture,
        public string $version,
        public string $date,
        public int $bytes,
        public string $restart,
        public array $minutes,
        public string $sha256,
        public string $source,
        public array $needs = [],
        public array $models = [],
        public array $revisions = [],
        public ?int $fromBuild = null,
        public ?int $toBuild = null,
        public ?string $channel = null,
        public bool $unsigned = false,
        public array $conflicts = [],
        public ?string $silent = null,
        public bool $withoutAdministrator = false,
        public array $setupFiles = [],
        public ?string $file = null,
    ) {
    }

    /**
     * @param  array<array-key, mixed>  $document  a document that the drivers schema accepts
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
        $fields->wants('claims', 'systems', 'minutes');
        foreach ($fields->strings('claims') as $place => $claim) {
            if (HardwareIdentifier::of($claim) === null) {
                throw FieldFault::at($fields->path("claims.{$place}"), "no identifier of a device: {$claim}");
            }
        }

        return new self(
            $fields->string('id'),
            $fields->string('name'),
            $fields->oneOf('family', Device::FAMILIES),
            $fields->strings('claims'),
            $fields->strings('systems'),
            $fields->oneOf('architecture', MachineModel::ARCHITECTURES),
            $fields->string('version'),
            $fields->string('date'),
            $fields->int('bytes'),
            $fields->oneOf('restart', self::RESTARTS),
            $fields->numbers('minutes'),
            $fields->string('sha256'),
            $fields->string('source'),
            $fields->strings('needs'),
            $fields->strings('models'),
            $fields->strings('revisions'),
            $fields->optionalInt('from_build'),
            $fields->optionalInt('to_build'),
            $fields->optionalOneOf('channel', self::CHANNELS),
            $fields->optionalBool('unsigned') ?? false,
            $fields->strings('conflicts'),
            $fields->optionalString('silent'),
            $fields->optionalBool('without_administrator') ?? false,
            $fields->each('setup_files', SetupFile::read(...)),
            $fields->optionalString('file'),
        );
    }

    /**
     * What it claims, in normal form.
     *
     * @return list<string>
     */
    public function claimed(): array
    {
        return array_map(
            static fn (HardwareIdentifier $claim): string => $claim->text(),
            array_values(array_filter(array_map(HardwareIdentifier::of(...), $this->claims))),
        );
    }

    public function isLocked(): bool
    {
        return $this->models !== [];
    }

    public function size(): Bytes
    {
        return Bytes::of($this->bytes);
    }

    /** Whether its archive is a program that unpacks itself, and is started. */
    public function unpacksItself(): bool
    {
        return str_ends_with(strtolower((string) $this->file), '.exe');
    }

    /** "Ostler V5 graphics 4.2" */
    public function title(): string
    {
        return "{$this->name} {$this->version}";
    }

    public function estimate(): Estimate
    {
        return Estimate::fromMinutes($this->minutes);
    }

    /** @return array<string, mixed> the same as a document */
    public function toArray(): array
    {
        return Written::of($this);
    }
}
