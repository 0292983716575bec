<?php

declare(strict_types=1);

namespace App\View;

use App\Devices\Build\BuildFailure;
use App\Devices\Erasing\DriveRack;
use App\Models\Erasure;
use Cobblestone\Hardware\Erasure\ErasableDrive;
use Cobblestone\Hardware\Erasure\ErasureAdvice;
use Cobblestone\Hardware\Erasure\ErasureWay;

/** The drives that lie on the bench to be erased, each with its ways, and what was erased before. */
final readonly class ErasePage
{
    private const LISTED = 40;

    /**
     * @param  array<string, array{drive: ErasableDrive, advice: ErasureAdvice}>  $drives  by name
     * @param  list<Erasure>  $past  newest first
     */
    private function __construct(public array $drives, public array $past, public bool $mayWork)
    {
    }

    public static function now(bool $mayWork): self
    {
        $drives = [];
        foreach (DriveRack::all() as $name => $device) {
            try {
                $drives[$name] = ['drive' => $drive = $device->drive(), 'advice' => ErasureAdvice::of($drive)];
            } catch (BuildFailure) {
                // What is not there is not offered.
            }
        }
        /** @var list<Erasure> $past */
        $past = Erasure::query()->with('user')->orderByDesc('id')->limit(self::LISTED)->get()->all();
        array_walk($past, static fn (Erasure $one) => $one->endIfDead());

        return new self($drives, $past, $mayWork);
    }

    /** Whether this is the drive that was asked for just now, and not begun. */
    public function isAsked(string $name): bool
    {
        return old('drive') === $name;
    }

    /** The way that was chosen before the mistake; at first the best one. */
    public function isChosen(string $name, ErasureWay $way): bool
    {
        return $this->isAsked($name)
            ? old('way') === $way->value
            : $this->drives[$name]['advice']->best === $way;
    }

    /** @return array<string, string> way => why it is not offered */
    public function out(string $name): array
    {
        $said = [];
        foreach ($this->drives[$name]['advice']->out as $way => $why) {
            $said[ErasureWay::from($way)->title()] = $why;
        }

        return $said;
    }
}
