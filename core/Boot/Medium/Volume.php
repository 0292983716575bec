<?php

declare(strict_types=1);

namespace Cobblestone\Boot\Medium;

/** A volume that firmware finds on a device: only FAT is looked into. */
final readonly class Volume
{
    /** @param  list<Loader>  $loaders  those at paths that firmware or an entry names */
    public function __construct(public string $title, public bool $fat, public array $loaders = [], public ?string $guid = null)
    {
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

    /** @param  array<string, mixed>  $data */
    public static function fromArray(array $data): self
    {
        return new self($data['title'], $data['fat'], array_map(Loader::fromArray(...), $data['loaders']), $data['guid']);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['title' => $this->title, 'fat' => $this->fat, 'loaders' => array_map(static fn (Loader $loader): array => $loader->toArray(), $this->loaders), 'guid' => $this->guid];
    }
}
