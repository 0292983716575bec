<?php

declare(strict_types=1);

namespace Cobblestone\Boot\Medium;

/**
 * Follows the code of a boot sector as a processor of 16 bits would, up to what settles it: a call that gives back, a
 * wait, a halt, a loop that never ends. It knows the few instructions that sectors use which load nothing; at anything
 * else it gives up, and nothing is said (the opcode map of the x86 instruction set; held against emulated
 * firmware).
 */
final class LegacyTrace
{
    private const LOADED_AT = 0x7C00;

    /** Steps after which code that has called nothing is taken for one that never ends. */
    private const MOST_STEPS = 20_000;

    private const AX = 0;

    private const SI = 6;

    private readonly Registers $registers;

    /** @var list<int> */
    private array $stack = [];

    private int $at = self::LOADED_AT;

    private bool $zero = false;

    private string $printed = '';

    private bool $spoke = false;

    /** @param  string  $sector  512 bytes */
    private function __construct(private readonly string $sector)
    {
        $this->registers = new Registers;
    }

    /**
     * @return array{end: string, printed: string} end: returns, waits, restarts, disk, stays or unknown; printed: what
     *     it wrote up to there
     */
    public static function of(string $sector): array
    {
        $trace = new self($sector);
        for ($step = 0; $step < self::MOST_STEPS; $step++) {
            $end = $trace->step();
            if ($end !== null) {
                return ['end' => $end, 'printed' => $trace->said()];
            }
        }

        return ['end' => 'stays', 'printed' => $trace->said()];
    }

    /** A sign that says that something was written, where it is not known what. */
    private function said(): string
    {
        return $this->printed !== '' || ! $this->spoke ? $this->printed : '?';
    }

    private function step(): ?string
    {
        $code = $this->take();
        $register = $code & 7;

        return match (true) {
            // cld, std, cli, sti, nop; moves to and from segment registers, which stay at the start of memory
            in_array($code, [0xFC, 0xFD, 0xFA, 0xFB, 0x90], true) => null,
            $code === 0x8E, $code === 0x8C => $this->onlyRegisters(),
            // mov of a value into a register of 16 or 8 bits
            $code >= 0xB8 && $code <= 0xBF => $this->registers->set($register, $this->word()),
            $code >= 0xB0 && $code <= 0xB7 => $this->registers->setByte($register, $this->take()),
            $code === 0x31 || $code === 0x33 => $this->exclusive(),
            $code === 0x30 || $code === 0x32 => $this->exclusiveBytes(),
            $code === 0xAC => $this->load(),
            in_array($code, [0x84, 0x08, 0x0A, 0x20, 0x22], true) => $this->tested(),
            $code === 0x3C => $this->compared($this->take()),
            $code === 0xA8 => $this->compared($this->take(), true),
            $code === 0x74 => $this->jump($this->take(), $this->zero),
            $code === 0x75 => $this->jump($this->take(), ! $this->zero),
            $code === 0xEB => $this->jump($this->take(), true),
            $code === 0xE9 => $this->far($this->word()),
            // out to a port: said, though nobody sees what
            $code === 0xEE, $code === 0xEF => $this->speaks(),
            $code >= 0x50 && $code <= 0x57 => $this->push($this->registers->get($register)),
            $code >= 0x58 && $code <= 0x5F => $this->registers->set($register, array_pop($this->stack) ?? 0),
            in_array($code, [0x06, 0x0E, 0x16, 0x1E], true) => $this->push(0),
            in_array($code, [0x07, 0x17, 0x1F], true) => $this->drop(),
            $code >= 0x40 && $code <= 0x47 => $this->registers->set($register, $this->registers->get($register) + 1),
            $code === 0xF4 => 'stays',
            $code === 0xCD => $this->call($this->take()),
            default => 'unknown',
        };
    }

    private function take(): int
    {
        $place = $this->at - self::LOADED_AT;
        $this->at = ($this->at + 1) & 0xFFFF;

        // Beyond its own sector stands what nobody has read: an opcode that nothing is known of.
        return $place >= 0 && $place < 512 ? ord($this->sector[$place]) : 0x0F;
    }

    private function word(): int
    {
        $low = $this->take();

        return $low | ($this->take() << 8);
    }

    private function push(int $value): null
    {
        $this->stack[] = $value;

        return null;
    }

    /** Into a segment register, which stays as it is. */
    private function drop(): null
    {
        array_pop($this->stack);

        return null;
    }

    private function onlyRegisters(): ?string
    {
        return $this->take() >= 0xC0 ? null : 'unknown';
    }

    private function exclusive(): ?string
    {
        $with = $this->take();
        if ($with < 0xC0) {
            return 'unknown';
        }
        [$a, $b] = [$with & 7, ($with >> 3) & 7];
        // Which of the two is written matters only where they differ, and then nothing here asks for it.
        $this->registers->set($a, $this->registers->get($a) ^ $this->registers->get($b));
        $this->zero = $this->registers->get($a) === 0;

        return $a === $b ? null : 'unknown';
    }

    private function exclusiveBytes(): ?string
    {
        $with = $this->take();
        if ($with < 0xC0 || ($with & 7) !== (($with >> 3) & 7)) {
            return 'unknown';
        }
        $this->registers->setByte($with & 7, 0);
        $this->zero = true;

        return null;
    }

    private function load(): ?string
    {
        $place = $this->registers->get(self::SI) - self::LOADED_AT;
        if ($place < 0 || $place >= 512) {
            return 'unknown';
        }
        $this->registers->setByte(self::AX, ord($this->sector[$place]));

        return $this->registers->set(self::SI, $this->registers->get(self::SI) + 1);
    }

    /** test, or, and of a register of 8 bits with itself */
    private function tested(): ?string
    {
        $with = $this->take();
        if ($with < 0xC0 || ($with & 7) !== (($with >> 3) & 7)) {
            return 'unknown';
        }
        $this->zero = $this->registers->byte($with & 7) === 0;

        return null;
    }

    private function compared(int $value, bool $bits = false): null
    {
        $al = $this->registers->byte(self::AX);
        $this->zero = $bits ? ($al & $value) === 0 : $al === $value;

        return null;
    }

    private function jump(int $by, bool $is): null
    {
        return $is ? $this->far($by < 0x80 ? $by : $by - 0x100) : null;
    }

    private function far(int $by): null
    {
        $this->at = ($this->at + $by) & 0xFFFF;

        return null;
    }

    private function speaks(): null
    {
        $this->spoke = true;

        return null;
    }

    /** Ports of services: 10h screen, 13h disk, 14h serial port, 16h keyboard, 18h give back, 19h start over. */
    private function call(int $service): ?string
    {
        if ($service === 0x10 && $this->registers->byte(4) === 0x0E) {
            $this->printed .= chr($this->registers->byte(self::AX));
        }
        $this->spoke = $this->spoke || $service === 0x10 || $service === 0x14;

        return match ($service) {
            0x10, 0x14 => null,
            0x13 => 'disk',
            0x16 => 'waits',
            0x18 => 'returns',
            0x19 => 'restarts',
            default => 'unknown',
        };
    }
}
