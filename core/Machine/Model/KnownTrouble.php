<?php

declare(strict_types=1);

namespace Cobblestone\Machine\Model;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Document\Written;

/** What is known not to work on a model with a system, from one version to another (rule T4). */
final readonly class KnownTrouble
{
    /** What can be tried in a few minutes => how it is said (rule T6). */
    public const FUNCTIONS = [
        'network' => 'Network',
        'sound' => 'Sound',
        'input' => 'Keyboard, pointer, touch',
        'scale' => 'Picture: size and scale',
        'sleep' => 'Sleep and waking',
        'camera' => 'Camera',
    ];

    /**
     * @param  list<string>  $systems  identifiers of the catalogue
     * @param  string  $what  what is seen, as a sentence
     * @param  string|null  $from  first version that has it; null: from the first
     * @param  string|null  $until  the version that mends it; null: none is known
     * @param  string|null  $instead  what helps until then
     */
    public function __construct(
        public string $function,
        public array $systems,
        public string $what,
        public string $asOf,
        public ?string $from = null,
        public ?string $until = null,
        public ?string $instead = null,
    ) {
    }

    /** @throws FieldFault */
    public static function read(Fields $fields): self
    {
        return new self(
            $fields->oneOf('function', array_keys(self::FUNCTIONS)),
            $fields->wants('systems')->strings('systems'),
            $fields->string('what'),
            $fields->string('as_of'),
            $fields->optionalString('from'),
            $fields->optionalString('until'),
            $fields->optionalString('instead'),
        );
    }

    /** @param  string|null  $version  of the image; where nobody says it, every version is meant */
    public function isMeant(string $system, ?string $version): bool
    {
        return in_array($system, $this->systems, true) &&
            ($version === null || $this->from === null || version_compare($version, $this->from, '>=')) &&
            ($version === null || $this->until === null || version_compare($version, $this->until, '<'));
    }

    /** "No sound from the speakers. Instead: headphones. Mended in 7.4." */
    public function sentence(): string
    {
        return implode(' ', array_filter([
            $this->what,
            $this->instead === null ? '' : "Until then: {$this->instead}",
            $this->until === null ? '' : "Mended in version {$this->until}.",
        ]));
    }

    /** @return array<string, mixed> the same as a document */
    public function toArray(): array
    {
        return Written::of($this);
    }
}
