<?php

declare(strict_types=1);

namespace Cobblestone\Machine\Model;

use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;
use Cobblestone\Document\Written;

/** A key or combination that leads into the setup, the one-time menu or the recovery (rule F1). */
final readonly class KnownWay
{
    /** Seconds a key is held where nobody has noted how long (default). */
    private const HELD = 5;

    /**
     * @param  string|null  $press  what is pressed once while the key is held
     * @param  int|null  $seconds  how long the key is held
     * @param  int|null  $confirmed  times it worked
     * @param  int|null  $missed  times it did not
     */
    public function __construct(
        public string $how,
        public string $key,
        public ?string $press = null,
        public ?int $seconds = null,
        public ?int $confirmed = null,
        public ?int $missed = null,
    ) {
    }

    /**
     * @param  array<array-key, mixed>  $document  one entry of a model's or maker's ways in
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
            $fields->oneOf('how', ['tap', 'hold']),
            $fields->string('key'),
            $fields->optionalString('press'),
            $fields->optionalInt('seconds'),
            $fields->optionalInt('confirmed'),
            $fields->optionalInt('missed'),
        );
    }

    public static function tap(string $key): self
    {
        return new self('tap', $key);
    }

    /** The way that was noted under that name; how long it is held was not noted. */
    public static function named(string $name): ?self
    {
        if (preg_match('/^(?:tap (?<key>.+)|hold (?<hold>.+) \+ (?<press>.+))$/', $name, $found) !== 1) {
            return null;
        }

        return $found['key'] !== ''
            ? self::tap($found['key'])
            : new self('hold', $found['hold'], $found['press'], self::HELD);
    }

    public function isHeld(): bool
    {
        return $this->how === 'hold';
    }

    /** "hold volume up + power": how trials of it are kept. */
    public function name(): string
    {
        return $this->isHeld() ? "hold {$this->key} + {$this->press}" : "tap {$this->key}";
    }

    /** "Hold volume up, press power, 4 s" */
    public function spoken(): string
    {
        return $this->isHeld() ? "Hold {$this->key}, press {$this->press}, {$this->seconds} s" : "Tap {$this->key}";
    }

    /** The same way after one more try of it. */
    public function tried(bool $worked): self
    {
        return new self(
            $this->how,
            $this->key,
            $this->press,
            $this->seconds,
            $worked ? ($this->confirmed ?? 0) + 1 : $this->confirmed,
            $worked ? $this->missed : ($this->missed ?? 0) + 1,
        );
    }

    /** @return array<string, mixed> the same as a document */
    public function toArray(): array
    {
        return Written::of($this);
    }
}
