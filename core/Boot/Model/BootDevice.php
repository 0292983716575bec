<?php

declare(strict_types=1);

namespace Cobblestone\Boot\Model;

use Cobblestone\Boot\Medium\Medium;
use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;

/** A stick or drive as the firmware meets it. */
final readonly class BootDevice
{
    public const STICK = 'stick';

    public const DRIVE = 'drive';

    /**
     * @param  string  $kind  stick or drive
     * @param  bool  $attached  whether it is plugged in
     * @param  bool  $readable  whether its first sectors can be read at all
     */
    public function __construct(
        public string $id,
        public string $title,
        public string $kind,
        public Medium $medium,
        public bool $attached = true,
        public bool $readable = true,
    ) {
    }

    public function with(?Medium $medium = null, ?bool $attached = null): self
    {
        return new self(
            $this->id,
            $this->title,
            $this->kind,
            $medium ?? $this->medium,
            $attached ?? $this->attached,
            $this->readable,
        );
    }

    /**
     * @param  array<array-key, mixed>  $data  what toArray() gave
     *
     * @throws FieldFault with the path of what does not fit
     */
    public static function fromArray(array $data): self
    {
        return self::read(Fields::of($data));
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        return new self(
            $fields->string('id'),
            $fields->string('title'),
            $fields->string('kind'),
            Medium::read($fields->block('medium')),
            $fields->bool('attached'),
            $fields->bool('readable'),
        );
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'id' => $this->id,
            'title' => $this->title,
            'kind' => $this->kind,
            'medium' => $this->medium->toArray(),
            'attached' => $this->attached,
            'readable' => $this->readable,
        ];
    }
}
