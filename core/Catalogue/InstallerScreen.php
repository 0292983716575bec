<?php

declare(strict_types=1);

namespace Cobblestone\Catalogue;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Document\Written;

/** A page that an installer shows on its way to the drive, and what can be picked on it (rules F9, I2). */
final readonly class InstallerScreen
{
    /** What a page is about, and so how its pick is worked out. */
    public const ABOUT = ['start', 'purpose', 'key', 'edition', 'drive', 'other'];

    /**
     * @param  string  $title  as the installer calls it
     * @param  list<InstallerOption>  $options
     */
    public function __construct(public string $about, public string $title, public array $options)
    {
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        return new self(
            $fields->oneOf('about', self::ABOUT),
            $fields->string('title'),
            $fields->each('options', InstallerOption::read(...)),
        );
    }

    /** @return array<string, mixed> the same as a document */
    public function toArray(): array
    {
        return Written::of($this);
    }
}
