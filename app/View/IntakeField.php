<?php

declare(strict_types=1);

namespace App\View;

/** One field of the intake form: a fact of the machine, a word, a day, or a choice. */
final readonly class IntakeField
{
    /** @param  array<string, string>  $options  empty where anything may be typed */
    private function __construct(
        public string $name,
        public string $label,
        public string $value,
        public string $type,
        public array $options,
    ) {
    }

    /**
     * @param  array<string, mixed>  $facts  of the brief
     * @param  array<string, string>  $options  without the empty one, which reads "not known"
     */
    public static function fact(string $fact, string $label, array $facts, array $options = []): self
    {
        $value = (string) (((array) old('facts'))[$fact] ?? ($facts[$fact] ?? ''));

        return new self(
            "facts[{$fact}]",
            $label,
            $value,
            'number',
            $options === [] ? [] : ['' => 'not known', ...$options],
        );
    }

    public static function text(string $name, string $label, mixed $value, string $type = 'text'): self
    {
        return new self($name, $label, self::typed($name, $value ?? ''), $type, []);
    }

    /** @param  array<string, string>  $options */
    public static function choice(string $name, string $label, array $options, string $value): self
    {
        return new self($name, $label, self::typed($name, $value), 'text', $options);
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

    /** What was typed before, else what is known. */
    private static function typed(string $name, mixed $value): string
    {
        $typed = old($name);
        $shown = is_string($typed) ? $typed : $value;

        return is_scalar($shown) ? (string) $shown : '';
    }
}
