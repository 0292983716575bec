<?php

declare(strict_types=1);

namespace Cobblestone\Findings;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;

/** What is kept of a machine, and what copying it takes (rule A6). */
final readonly class BackupFound
{
    /**
     * @param  string|null  $keep  some, nothing or blank; null while nobody was asked
     * @param  int|null  $bytes  null while nobody has measured
     * @param  int|null  $needBytes  with the margin
     * @param  list<string>  $folders
     * @param  list<string>  $notCovered
     */
    public function __construct(
        public ?string $keep,
        public ?int $bytes,
        public ?int $needBytes,
        public ?float $likelyMinutes,
        public ?string $destination,
        public array $folders,
        public array $notCovered,
    ) {
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        return new self(
            $fields->optionalString('keep'),
            $fields->optionalInt('bytes'),
            $fields->optionalInt('need_bytes'),
            self::likely($fields->optionalBlock('minutes')),
            $fields->optionalString('destination'),
            $fields->strings('folders'),
            $fields->strings('not_covered'),
        );
    }

    private static function likely(?Fields $minutes): ?float
    {
        return $minutes === null ? null : (float) $minutes->number('likely');
    }
}
