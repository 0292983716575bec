<?php

declare(strict_types=1);

namespace Cobblestone\Boot\Medium;

use Cobblestone\Assessment\Encryption\Binding;
use Cobblestone\Assessment\Encryption\Protection;
use Cobblestone\Document\FieldFault;
use Cobblestone\Document\Fields;

/** The key of an encrypted volume, sealed to what the machine measured when it was bound (rule A7). */
final readonly class Seal
{
    /** What a volume bound to Secure Boot alone depends on. */
    private const BY_KEYS = ['secure boot', 'key mode', 'signers', 'revocations'];

    /** What every binding depends on. */
    private const ALWAYS = ['security chip', 'board', 'drive'];

    /**
     * @param  array<string, string>  $measured  name => value when it was bound
     * @param  int  $suspended  starts that protection is still suspended for
     */
    public function __construct(
        public Protection $protection,
        public Binding $binding,
        public array $measured,
        public int $suspended = 0,
    ) {
    }

    /**
     * What has changed since it was bound and would bring up the prompt.
     *
     * @param  array<string, string>  $now
     * @return list<string>
     */
    public function broken(array $now): array
    {
        if ($this->suspended > 0 || ! $this->protection->mayAskForKey()) {
            return [];
        }
        $bound = $this->binding === Binding::Keys ? [...self::ALWAYS, ...self::BY_KEYS] : array_keys($this->measured);

        return array_values(
            array_filter($bound, fn (string $name): bool => ($this->measured[$name] ?? '') !== ($now[$name] ?? '')),
        );
    }

    public function suspendedFor(int $starts): self
    {
        return new self($this->protection, $this->binding, $this->measured, $starts);
    }

    /** One start later. */
    public function started(): self
    {
        return $this->suspended > 0 ? $this->suspendedFor($this->suspended - 1) : $this;
    }

    /** @param  array<string, string>  $now */
    public function resumed(array $now): self
    {
        return new self($this->protection, $this->binding, $now);
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
            $fields->enum('protection', Protection::class),
            $fields->enum('binding', Binding::class),
            $fields->words('measured'),
            $fields->int('suspended'),
        );
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'protection' => $this->protection->value,
            'binding' => $this->binding->value,
            'measured' => $this->measured,
            'suspended' => $this->suspended,
        ];
    }
}
