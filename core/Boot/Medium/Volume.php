<?php

declare(strict_types=1);

namespace Cobblestone\Boot\Medium;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;

/** A volume that firmware finds on a device: only FAT is looked into. */
final readonly class Volume
{
    /** @param  list<Loader>  $loaders  those at paths that firmware or an entry names */
    public function __construct(
        public string $title,
        public bool $fat,
        public array $loaders = [],
        public ?string $guid = null,
    ) {
    }

    public function loader(string $path): ?Loader
    {
        foreach ($this->loaders as $loader) {
            if (strcasecmp($loader->path, $path) === 0) {
                return $loader;
            }
        }

        return null;
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
            $fields->string('title'),
            $fields->bool('fat'),
            $fields->each('loaders', Loader::read(...)),
            $fields->optionalString('guid'),
        );
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'title' => $this->title,
            'fat' => $this->fat,
            'loaders' => array_map(static fn (Loader $loader): array => $loader->toArray(), $this->loaders),
            'guid' => $this->guid,
        ];
    }
}
