<?php

declare(strict_types=1);

namespace Cobblestone\Findings;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;

/** A part of a drive or stick, as it is or as it will be. */
final readonly class PartFound
{
    /**
     * @param  string  $role  what it is for; empty where nobody knows
     * @param  bool  $stays  whether it is to stay on a drive that is otherwise laid out anew
     * @param  int|null  $firstSector  null where it stands nowhere in particular
     */
    public function __construct(
        public string $name,
        public string $role,
        public ?int $firstSector,
        public ?int $sectors,
        public int $bytes,
        public ?string $fileSystem,
        public bool $stays = false,
    ) {
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        return new self(
            $fields->string('name'),
            $fields->optionalString('role') ?? '',
            $fields->optionalInt('first_sector'),
            $fields->optionalInt('sectors'),
            $fields->int('bytes'),
            $fields->optionalString('file_system'),
            $fields->optionalBool('stays') ?? false,
        );
    }
}
