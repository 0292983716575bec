<?php

declare(strict_types=1);

namespace App\View;

use Cobblestone\Machine\Facts\FactRegistry;

/** One field of the intake form: a fact of the machine, a word, a day, or a choice. */
final readonly class IntakeField
{
    private const PROSE = 400;

    private const NUMBER = 20;

    /**
     * @param  array<string, string>  $options  empty where anything may be typed
     * @param  string  $width  classes of its column
     * @param  string  $hint  what stands in it while it is empty
     */
    private function __construct(
        public string $name,
        public string $label,
        public string $value,
        public string $type,
        public array $options,
        public string $width = 'col-6 col-md-3',
        public string $hint = '',
        public int $most = self::PROSE,
        public bool $mono = false,
    ) {
    }

    /**
     * What the registry says of a fact: its words, and what it offers beside "not known".
     *
     * @param  array<string, mixed>  $facts  of the brief
     */
    public static function fact(string $fact, array $facts): self
    {
        $value = (string) (((array) old('facts'))[$fact] ?? ($facts[$fact] ?? ''));
        $options = FactRegistry::offers($fact);

        return new self(
            "facts[{$fact}]",
            ucfirst(FactRegistry::spoken($fact)),
            $value,
            'number',
            $options === [] ? [] : ['' => 'not known', ...$options],
            most: self::NUMBER,
        );
    }

    public static function text(string $name, string $label, mixed $value, string $type = 'text'): self
    {
        $most = $type === 'number' ? self::NUMBER : self::PROSE;

        return new self($name, $label, self::typed($name, $value ?? ''), $type, [], most: $most);
    }

    /** A number, a size, a version: letters of one width. */
    public static function figure(string $name, string $label, mixed $value, string $type = 'text'): self
    {
        return self::text($name, $label, $value, $type)->with(['mono' => true]);
    }

    /** @param  array<string, string>  $options */
    public static function choice(string $name, string $label, array $options, string $value): self
    {
        return new self($name, $label, self::typed($name, $value), 'text', $options);
    }

    /** The same in a column of that width. */
    public function wide(string $width): self
    {
        return $this->with(['width' => $width]);
    }

    public function hinted(string $hint): self
    {
        return $this->with(['hint' => $hint]);
    }

    public function upTo(int $most): self
    {
        return $this->with(['most' => $most]);
    }

    public function id(): string
    {
        return str_replace(['[', ']', '.'], ['-', '', '-'], $this->name);
    }

    /** Under which name a fault of it is reported. */
    public function fault(): string
    {
        return str_replace(['[', ']'], ['.', ''], $this->name);
    }

    public function isNumber(): bool
    {
        return $this->type === 'number';
    }

    public function isDay(): bool
    {
        return $this->type === 'date';
    }

    /** @param  array<string, mixed>  $changes */
    private function with(array $changes): self
    {
        return new self(...[...get_object_vars($this), ...$changes]);
    }

    /** What was typed before, else what is known. */
    public static function typed(string $name, mixed $value): string
    {
        $typed = old($name);
        $shown = is_string($typed) ? $typed : $value;

        return is_scalar($shown) ? (string) $shown : '';
    }
}
