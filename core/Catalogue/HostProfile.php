<?php

declare(strict_types=1);

namespace Cobblestone\Catalogue;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Document\Written;

/** A kind of computer that makes a stick in place of this bench: its commands and their bounds (rules M13, M14). */
final readonly class HostProfile
{
    /**
     * @param  string  $name  as in "on {name}"
     * @param  HostScript|null  $script  null where it runs none: then a stick is only written there by hand
     * @param  string  $drive  how it names a whole drive, in an example
     * @param  string  $drives  what has to be known of those names
     * @param  string|null  $system  that runs on it, identifier in the catalogue
     * @param  int|null  $fromBuild  of that system; its tools are older below
     * @param  int|null  $toBuild  up to which they are known
     * @param  list<HostTool>  $lacks  programs that do not come with it
     * @param  list<NewestImage>  $newest
     */
    public function __construct(
        public string $id,
        public string $name,
        public string $asOf,
        public string $source,
        public ?HostScript $script,
        public string $drive,
        public string $drives,
        public HostCommands $commands,
        public ?string $system = null,
        public ?int $fromBuild = null,
        public ?int $toBuild = null,
        public array $lacks = [],
        public array $newest = [],
    ) {
    }

    /**
     * @param  array<array-key, mixed>  $document  a document that the hosts schema accepts
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
            $fields->optionalEnum('script', HostScript::class),
            $fields->string('drive'),
            $fields->string('drives'),
            HostCommands::read($fields->block('commands')),
            $fields->optionalString('system'),
            $fields->optionalInt('from_build'),
            $fields->optionalInt('to_build'),
            $fields->each('lacks', HostTool::read(...)),
            $fields->each('newest', NewestImage::read(...)),
        );
    }

    /**
     * @param  array<string, self>  $hosts  of the catalogue, by identifier
     *
     * @throws UnknownEntry
     */
    public static function among(array $hosts, string $id): self
    {
        return $hosts[$id] ?? throw UnknownEntry::of('host', 'host', $id, array_map(strval(...), array_keys($hosts)));
    }

    /** The newest version of that system's images that it takes; null where no limit is known. */
    public function newestOf(?string $system): ?string
    {
        foreach ($this->newest as $one) {
            if ($one->system === $system) {
                return $one->version;
            }
        }

        return null;
    }

    public function dated(): string
    {
        return "catalogue, {$this->name}, as of {$this->asOf}";
    }

    /** @return array<string, mixed> the same as a document */
    public function toArray(): array
    {
        return Written::of($this);
    }
}
