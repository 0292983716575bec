<?php

declare(strict_types=1);

namespace Cobblestone\Assessment\Backup;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Document\Minutes;
use Cobblestone\Quantity\Bytes;
use Cobblestone\Quantity\Estimate;

/** What is kept of a machine, and what copying it takes (rule A6). */
final readonly class BackupFound
{
    public const BLANK = 'blank';

    /**
     * @param  string  $keep  some, nothing or blank
     * @param  string|null  $destination  null where nothing is copied; then nothing else is said either
     * @param  Bytes|null  $bytes  null while nobody has measured
     * @param  Bytes|null  $need  with the margin
     * @param  list<string>  $folders
     * @param  list<string>  $notCovered  what of the owner's is not copied
     */
    public function __construct(
        public string $keep,
        public ?string $destination = null,
        public ?Bytes $bytes = null,
        public ?Bytes $need = null,
        public ?Estimate $time = null,
        public array $folders = [],
        public array $notCovered = [],
    ) {
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        return new self(
            $fields->oneOf('keep', ['some', 'nothing', self::BLANK]),
            $fields->optionalString('destination'),
            self::size($fields->optionalInt('bytes')),
            self::size($fields->optionalInt('need_bytes')),
            $fields->optional('minutes', Minutes::read(...)),
            $fields->strings('folders'),
            $fields->strings('not_covered'),
        );
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return $this->destination === null ? ['keep' => $this->keep] : [
            'keep' => $this->keep,
            'bytes' => $this->bytes?->count,
            'need_bytes' => $this->need?->count,
            'minutes' => $this->time?->jsonSerialize(),
            'destination' => $this->destination,
            'folders' => $this->folders,
            'not_covered' => $this->notCovered,
        ];
    }

    private static function size(?int $bytes): ?Bytes
    {
        return $bytes === null ? null : Bytes::of($bytes);
    }
}
