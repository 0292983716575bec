<?php

declare(strict_types=1);

namespace Cobblestone\Catalogue;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Document\Written;

/** The marks of drive health, by kind of drive (rule A5). */
final readonly class HealthTable
{
    /**
     * @param  array<string, list<HealthRule>>  $rules  ata and nvme
     */
    public function __construct(
        public string $id,
        public string $name,
        public string $asOf,
        public string $source,
        public array $rules,
    ) {
    }

    /**
     * @param  array<array-key, mixed>  $document  a document that the health schema accepts
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
            $fields->string('id'),
            $fields->string('name'),
            $fields->string('as_of'),
            $fields->string('source'),
            self::rules($fields),
        );
    }

    /** @return array<string, list<HealthRule>> */
    private static function rules(Fields $fields): array
    {
        $rules = $fields->block('rules')->wants('ata', 'nvme');

        return [
            'ata' => $rules->each('ata', HealthRule::read(...)),
            'nvme' => $rules->each('nvme', HealthRule::read(...)),
        ];
    }

    /** @return array<string, mixed> the same as a document */
    public function toArray(): array
    {
        return Written::of($this);
    }
}
