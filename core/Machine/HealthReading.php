<?php

declare(strict_types=1);

namespace Cobblestone\Machine;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;

/** What one drive said of its health at one time; figures it did not give are absent, not zero (rule A5). */
final readonly class HealthReading
{
    public const KINDS = ['ata', 'nvme', 'unknown'];

    /**
     * @param  string  $kind  ata, nvme, or unknown where a bridge hid the figures
     * @param  array<int|string, int>  $figures  ATA attribute numbers ("5", "197") or NVMe log names
     * @param  bool|null  $passed  the drive's own verdict
     */
    public function __construct(
        public string $serial,
        public string $model,
        public string $kind,
        public array $figures,
        public ?bool $passed,
        public ?bool $rotating,
        public ?int $bytes = null,
        public ?string $at = null,
    ) {
    }

    public function figure(string $name): ?int
    {
        return $this->figures[$name] ?? null;
    }

    /**
     * @param  array<array-key, mixed>  $document
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
            $fields->string('serial'),
            $fields->string('model'),
            $fields->oneOf('kind', self::KINDS),
            self::figures($fields),
            $fields->optionalBool('passed'),
            $fields->optionalBool('rotating'),
            $fields->optionalInt('bytes'),
            $fields->optionalString('at'),
        );
    }

    /** @return array<int|string, int> */
    private static function figures(Fields $fields): array
    {
        $figures = [];
        foreach ($fields->scalars('figures') as $name => $value) {
            // A figure that cannot be read is not a good one (rule U3).
            $figures[$name] = is_numeric($value) ? (int) $value : throw FieldFault::at(
                $fields->path("figures.{$name}"),
                'a number is wanted, as the tool prints it.',
            );
        }

        return $figures;
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return array_filter(
            [
                'serial' => $this->serial,
                'model' => $this->model,
                'kind' => $this->kind,
                'figures' => $this->figures === [] ? null : $this->figures,
                'passed' => $this->passed,
                'rotating' => $this->rotating,
                'bytes' => $this->bytes,
                'at' => $this->at,
            ],
            static fn ($value): bool => $value !== null,
        );
    }
}
