<?php

declare(strict_types=1);

namespace Cobblestone\Brief;

use Cobblestone\Catalogue\Image;
use Cobblestone\Catalogue\SystemProfile;
use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Document\Written;
use Cobblestone\Runbook\JobKind;

/** What a person asks for: the machine, the kind of job, what is already known (format: docs/guide/brief.md). */
final readonly class Brief
{
    public const FORMAT = 1;

    /**
     * @param  string|SystemProfile|null  $system  identifier, or what is assumed of one the catalogue does not hold
     * @param  string|Image|null  $image  the same
     * @param  list<string>|null  $sticks  the only ones to choose from; null for every one
     * @param  array<string, string>  $policy  schools that differ from the bench's
     * @param  list<string>  $depends  programs and devices the owner cannot do without
     * @param  list<Extra>  $extras
     * @param  list<SeenStart>  $seen  newest last
     * @param  list<ReleasedGuard>  $released
     * @param  bool  $collect  whether a stick is wanted that reads the machine
     * @param  string|null  $host  kind of computer that makes the stick, of the catalogue; null: this bench
     */
    private function __construct(
        public string $title,
        public JobKind $goal,
        public string $owner,
        public ?int $slot,
        public MachineBlock $machine,
        public string|SystemProfile|null $system,
        public ?string $edition,
        public string|Image|null $image,
        public ?array $sticks,
        public BackupBlock $backup,
        public array $policy,
        public bool $emptyCatalogue,
        public ?string $readAt,
        public ?MemoryBlock $memory,
        public ?LicenceBlock $licence,
        public array $depends,
        public array $extras,
        public ?UpdateBlock $update,
        public ?CardBlock $card,
        public array $seen,
        public FirstBootBlock $firstBoot = new FirstBootBlock(),
        public ?string $host = null,
        public array $released = [],
        public bool $collect = false,
    ) {
    }

    /**
     * @param  array<array-key, mixed>  $data  a document that docs/guide/schema/brief.schema.json accepts
     *
     * @throws BriefFault
     */
    public static function fromArray(array $data): self
    {
        try {
            return self::read(Fields::of($data));
        } catch (FieldFault $fault) {
            throw BriefFault::at($fault->field, $fault->reason);
        }
    }

    private static function read(Fields $fields): self
    {
        self::mustBegin($fields);
        $machine = MachineBlock::read($fields->block('machine'));
        if (($machine->model === null) === ($machine->kind === null)) {
            throw BriefFault::at(
                'machine',
                'give either "model" (from the catalogue) or "kind" (for a machine it does not hold).',
            );
        }

        return new self(
            title: trim($fields->string('title')),
            goal: $fields->optionalEnum('goal', JobKind::class) ?? JobKind::CleanInstall,
            owner: $fields->optionalString('owner') ?? 'the owner',
            slot: $fields->optionalInt('slot'),
            machine: FixedChoice::of($machine),
            system: self::named($fields, 'system') ?? $fields->optional('system', SystemDefaults::system(...)),
            edition: $fields->optionalString('edition'),
            image: self::named($fields, 'image') ?? $fields->optional('image', SystemDefaults::image(...)),
            sticks: $fields->has('sticks') ? $fields->strings('sticks') : null,
            backup: $fields->optional('backup', BackupBlock::read(...)) ?? new BackupBlock(),
            policy: $fields->words('policy'),
            emptyCatalogue: $fields->optionalString('catalogue') === 'none',
            readAt: $fields->optionalString('read_at'),
            memory: $fields->optional('memory', MemoryBlock::read(...)),
            licence: $fields->optional('licence', LicenceBlock::read(...)),
            depends: $fields->strings('depends'),
            extras: $fields->each('extras', Extra::read(...)),
            update: $fields->optional('update', UpdateBlock::read(...)),
            card: $fields->optional('card', CardBlock::read(...)),
            seen: $fields->each('seen', SeenStart::read(...)),
            firstBoot: $fields->optional('first_boot', FirstBootBlock::read(...)) ?? new FirstBootBlock(),
            host: $fields->optionalString('host'),
            released: $fields->each('released', ReleasedGuard::read(...)),
            collect: $fields->optionalBool('collect') ?? false,
        );
    }

    /** @return array<string, mixed> the same as a document */
    public function toArray(): array
    {
        $document = Written::of($this);
        unset($document['empty_catalogue']);
        $described = array_filter(
            [
                'system' => $this->system instanceof SystemProfile ? SystemDefaults::told($this->system) : null,
                'image' => $this->image instanceof Image ? SystemDefaults::told($this->image) : null,
                'catalogue' => $this->emptyCatalogue ? 'none' : null,
            ],
            static fn (mixed $value): bool => $value !== null,
        );

        return ['brief' => self::FORMAT, ...$document, ...$described];
    }

    /** @throws BriefFault */
    private static function mustBegin(Fields $fields): void
    {
        if ($fields->raw('brief') !== self::FORMAT) {
            throw BriefFault::at('brief', 'the first line must be "brief: 1", the number of this format.');
        }
        if (! is_string($fields->raw('title')) || $fields->raw('title') === '') {
            throw BriefFault::at('title', 'a few words are wanted.');
        }
        if (! is_array($fields->raw('machine'))) {
            throw BriefFault::at('machine', 'a block with "model" or "kind" is wanted.');
        }
        foreach (['system', 'image'] as $field) {
            if ($fields->has($field) && ! is_string($fields->raw($field)) && ! is_array($fields->raw($field))) {
                throw BriefFault::at($field, 'an identifier of the catalogue or a description is wanted.');
            }
        }
    }

    /** The identifier of the catalogue, where one is given. */
    private static function named(Fields $fields, string $name): ?string
    {
        $value = $fields->raw($name);

        return is_string($value) ? $value : null;
    }
}
