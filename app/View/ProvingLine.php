<?php

declare(strict_types=1);

namespace App\View;

use App\Models\ProvingStart;
use Cobblestone\Boot\Emulated\EmulatedFirmware;
use Cobblestone\Boot\Emulated\StartSeen;
use Cobblestone\Text\Counted;
use Illuminate\Support\Carbon;

/** One start in an emulated machine beside its prediction, in words. */
final readonly class ProvingLine
{
    private const WORDS = [
        'starts' => 'it starts',
        'refused-secure-boot' => 'refused by Secure Boot',
        'no-boot-device' => 'nothing on it to start',
        'silent' => 'entered, and silent',
        'loader-stopped' => 'its loader gives up',
        'cannot-tell' => 'cannot be told',
    ];

    private const FIRMWARE = [
        'uefi' => 'UEFI',
        'uefi-secure' => 'UEFI with Secure Boot',
        'bios' => 'the old way (BIOS)',
    ];

    /** What no emulated machine knows of a real one. */
    public const NOT_EMULATED = [
        'what the maker of this firmware changed in it',
        'the sockets of the machine, its hubs and its USB controllers',
        'what is on its drives, its graphics and other devices, and the drivers for them',
        'settings that somebody changed there',
    ];

    /** @param  Carbon|null  $since  when what is on the medium now came onto it; null where nobody knows */
    public function __construct(public ProvingStart $start, private ?Carbon $since = null)
    {
    }

    /** Whether something else was on the medium then. */
    public function isOfBefore(): bool
    {
        return $this->since !== null && $this->start->created_at->lt($this->since);
    }

    /** @return array<string, string> what can be chosen => its words */
    public static function kinds(): array
    {
        return self::FIRMWARE;
    }

    /**
     * @param  array<string, array{as_predicted: int, otherwise: int, open: int}>  $shares  firmware => how many
     * @return array<string, array{as_predicted: int, otherwise: int, open: int}> by the firmware's words
     */
    public static function shares(array $shares): array
    {
        $named = [];
        foreach ($shares as $firmware => $share) {
            $named[self::FIRMWARE[$firmware]] = $share;
        }

        return $named;
    }

    /** @param  list<self>  $lines  the newest first */
    public static function lastAs(string $model, array $lines): ?self
    {
        foreach ($lines as $line) {
            if ($line->start->machine === $model && $line->isDone() && ! $line->isOfBefore()) {
                return $line;
            }
        }

        return null;
    }

    public function isUnderWay(): bool
    {
        return $this->start->isUnderWay();
    }

    public function isDone(): bool
    {
        return $this->start->state === 'done';
    }

    /** "UEFI with Secure Boot, as Capstan T3 has it" */
    public function machine(): string
    {
        return self::FIRMWARE[$this->start->firmware]
            .match (true) {
                $this->start->drive_of !== null => ", {$this->start->machine_title} at its next power-on",
                $this->start->job_id !== null => ", as {$this->start->machine_title} is set then",
                $this->start->machine !== null => ", as {$this->start->machine_title} is delivered",
                default => '',
            };
    }

    public function parts(): ProvingParts
    {
        return new ProvingParts($this->start);
    }

    /** By whose keys Secure Boot goes; empty where it is not in force. */
    public function keys(): string
    {
        return match (true) {
            $this->start->kind() !== EmulatedFirmware::UefiSecure => '',
            ! $this->isLikeAModel() => 'By the key that Debian ships for tests.',
            default => 'By the certificates of the signers that this machine trusts.',
        };
    }

    private function isLikeAModel(): bool
    {
        return $this->start->machine !== null || $this->start->job_id !== null;
    }

    public function predicted(): string
    {
        return implode(' or ', array_map(
            static fn (string $word): string => self::WORDS[$word] ?? $word,
            explode('|', $this->start->predicted),
        ));
    }

    public function startedHere(): string
    {
        return match (true) {
            $this->start->outcome !== null => self::WORDS[$this->start->outcome],
            $this->start->state === 'waiting' => 'waits for its turn',
            $this->isUnderWay() => 'running',
            $this->start->state === 'stopped' => 'stopped',
            $this->start->state === 'failed' => (string) $this->start->fault,
            default => 'broke off: this computer or its worker stopped',
        };
    }

    /** Whether prediction and start say different things; null where one of them says nothing. */
    public function differs(): ?bool
    {
        $seen = $this->start->seen();

        return $seen === null || $seen === StartSeen::CannotTell
            ? null
            : ! in_array($seen->value, explode('|', $this->start->predicted), true);
    }

    public function verdict(): string
    {
        return match ($this->isOfBefore() ? null : $this->differs()) {
            true => 'They differ. The start is what happened here; the prediction has missed something.',
            false => 'As predicted.',
            null => match (true) {
                $this->isOfBefore() => 'Of what was on it before: it was written to since.',
                $this->start->seen() === StartSeen::CannotTell => 'What was seen settles nothing: look at the '
                    .'picture, or at the machine itself.',
                default => '',
            },
        };
    }

    /** How it is known that the medium is the same as before. */
    public function unchanged(): string
    {
        if ($this->start->drive_of !== null) {
            return '';
        }

        return $this->start->sha256 === null
            ? 'The medium was read in 256 places over its whole length before and after, and is the same.'
            : 'The medium was read whole before and after, and is the same.';
    }

    /** Class of the panel: how it stands there. */
    public function mood(): string
    {
        return match (true) {
            $this->differs() === true, $this->start->state === 'failed' => 'stop-panel',
            $this->start->seen() === StartSeen::Starts => 'holds-panel',
            default => '',
        };
    }

    public function heading(): string
    {
        $drive = $this->start->drive_of !== null && $this->start->seen() === StartSeen::Starts;

        return $drive ? 'It starts: what was put on the drive runs.' : $this->start->seen()?->title() ?? match (true) {
            $this->start->state === 'waiting' => 'Waits for its turn',
            $this->isUnderWay() => 'The machine is running',
            $this->start->state === 'stopped' => 'Stopped',
            $this->start->state === 'failed' => 'It could not be started',
            default => 'It broke off',
        };
    }

    /** "9.5 s" and how often it restarted; empty before it ran. */
    public function time(): string
    {
        $resets = $this->start->resets === 0 ? '' : ', '.Counted::of($this->start->resets, 'restart').' of its own';

        return $this->start->seconds > 0 ? "{$this->start->seconds} s{$resets}" : '';
    }

    /** What it printed, the last lines. */
    public function printed(): string
    {
        return implode("\n", array_slice(explode("\n", $this->start->printed), -40));
    }

    /** Where its picture is; empty where none was taken. */
    public function picture(): string
    {
        return $this->start->pictures === 0 ? '' : "/starts/{$this->start->id}/picture?n={$this->start->pictures}";
    }

    public function back(): string
    {
        return $this->start->shelf_file_id === null
            ? "/sticks/{$this->start->slug}/starts"
            : "/shelf/{$this->start->shelf_file_id}/starts";
    }
}
