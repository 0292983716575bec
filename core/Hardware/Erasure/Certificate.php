<?php

declare(strict_types=1);

namespace Cobblestone\Hardware\Erasure;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;

/** What is handed out of an erased drive: which drive, which way, what was read back, who and when (rule L5). */
final readonly class Certificate
{
    /**
     * @param  string|null  $serial  null where the drive reports none: then its bytes and looks are all there is
     * @param  string  $began  as 2026-11-30T12:00:00Z
     * @param  string  $proof  what was read back, or what was seen of it where it was destroyed
     * @param  string  $caution  what the way leaves open; empty where nothing
     */
    public function __construct(
        public string $model,
        public ?string $serial,
        public int $bytes,
        public ErasureWay $way,
        public string $began,
        public string $ended,
        public string $by,
        public string $proof,
        public string $caution = '',
    ) {
    }

    public static function read(
        ErasableDrive $drive,
        ErasureProof $proof,
        string $began,
        string $ended,
        string $by,
    ): self {
        return new self(
            $drive->model,
            $drive->serial,
            $drive->size->count,
            $proof->way,
            $began,
            $ended,
            $by,
            $proof->sentence(),
            ErasureAdvice::cautionOf($proof->way, $drive),
        );
    }

    /** @throws FieldFault */
    public static function fromFields(Fields $fields): self
    {
        return new self(
            $fields->string('model'),
            $fields->optionalString('serial'),
            $fields->int('bytes'),
            $fields->enum('way', ErasureWay::class),
            $fields->string('began'),
            $fields->string('ended'),
            $fields->string('by'),
            $fields->string('proof'),
            $fields->optionalString('caution') ?? '',
        );
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [...get_object_vars($this), 'way' => $this->way->value];
    }
}
