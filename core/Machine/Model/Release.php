<?php

declare(strict_types=1);

namespace Cobblestone\Machine\Model;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Document\Written;
use Cobblestone\Quantity\Estimate;

/** A firmware release for this board, with what it may be written over (rule F5). */
final readonly class Release
{
    /**
     * @param  list<int|float>  $minutes  least, likely, most
     * @param  string|null  $from  the oldest version it may be written over
     * @param  list<string>  $gives
     * @param  list<string>  $processors  families it runs; empty where it runs all
     * @param  list<string>  $revisions  of the board; empty for all
     * @param  string|null  $stickFile  name that the board looks for on a stick, where it is another than the file's
     */
    public function __construct(
        public string $version,
        public string $file,
        public array $minutes,
        public ?string $from = null,
        public array $gives = [],
        public ?string $asOf = null,
        public int|float|null $restartMinutes = null,
        public array $processors = [],
        public array $revisions = [],
        public bool $withdrawn = false,
        public ?string $stickFile = null,
        public ?string $sha256 = null,
    ) {
    }

    /**
     * @param  array<array-key, mixed>  $document  one entry of a model's "releases"
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
        $fields->wants('minutes');

        return new self(
            $fields->string('version'),
            $fields->string('file'),
            $fields->numbers('minutes'),
            $fields->optionalString('from'),
            $fields->strings('gives'),
            $fields->optionalString('as_of'),
            $fields->optionalNumber('restart_minutes'),
            $fields->strings('processors'),
            $fields->strings('revisions'),
            $fields->optionalBool('withdrawn') ?? false,
            $fields->optionalString('stick_file'),
            $fields->optionalString('sha256'),
        );
    }

    public function nameOnStick(): string
    {
        return $this->stickFile ?? $this->file;
    }

    /** Whether it runs a processor of that family. */
    public function runs(string $family): bool
    {
        return $this->processors === [] || in_array($family, $this->processors, true);
    }

    public function isFor(string $revision): bool
    {
        return $this->revisions === [] || in_array($revision, $this->revisions, true);
    }

    public function estimate(): Estimate
    {
        return Estimate::fromMinutes($this->minutes);
    }

    /** @return array<string, mixed> the same as a document */
    public function toArray(): array
    {
        return Written::of($this);
    }
}
