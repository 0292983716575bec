<?php

declare(strict_types=1);

namespace Cobblestone\Media;

/** An image on the shelf as people and tools know it. */
final readonly class ShelfImage
{
    /**
     * @param  string|null  $sha256  as read here; null while nobody has
     * @param  string|null  $published  the publisher's; null where none is known
     * @param  string|null  $damage  what is wrong with it, in words
     * @param  string|null  $system  the name of what it installs
     * @param  string|null  $origin  see ImageOrigin::KINDS; null: the publisher's
     */
    public function __construct(
        public string $name,
        public ?string $sha256 = null,
        public ?string $published = null,
        public ?string $damage = null,
        public ?string $system = null,
        public ?string $version = null,
        public ?string $edition = null,
        public ?string $language = null,
        public ?string $architecture = null,
        public ?string $channel = null,
        public ?string $origin = null,
    ) {
    }

    /** @param  array<string, string|null>  $about  what people say of it */
    public static function told(
        string $name,
        array $about,
        ?string $sha256 = null,
        ?string $published = null,
        ?string $damage = null,
    ): self {
        return new self(
            $name,
            $sha256,
            $published,
            $damage,
            $about['line'] ?? null,
            $about['version'] ?? null,
            $about['edition'] ?? null,
            $about['language'] ?? null,
            $about['architecture'] ?? null,
            $about['channel'] ?? null,
            $about['origin'] ?? null,
        );
    }
}
