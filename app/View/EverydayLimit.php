<?php

declare(strict_types=1);

namespace App\View;

use Cobblestone\Job\Promised;
use Cobblestone\Machine\Machine;
use Cobblestone\Machine\Model\PowerLimits;
use Cobblestone\Tuning\Power\BatteryLife;

/** The power limit that is agreed on for every day (rule T2). */
final readonly class EverydayLimit
{
    private ?PowerLimits $can;

    /** @param  float|null  $hours  that are wanted */
    public function __construct(
        private Machine $machine,
        private ?BatteryLife $life,
        private ?float $hours,
        private bool $mayWork,
    ) {
        $this->can = $machine->model?->powerLimits;
    }

    /** Whether there is anything to agree on: hours that can be told, or a limit that was agreed on before. */
    public function mayAgree(): bool
    {
        return $this->mayWork && ($this->life !== null || $this->agreed() !== '');
    }

    /** In watts; empty where none was agreed on. */
    public function agreed(): string
    {
        $agreed = $this->machine->fact(Promised::EVERYDAY)->value;

        return is_numeric($agreed) ? (string) (int) $agreed : '';
    }

    /** What stands in the field: what was agreed on, else the whole watts that give the hours wanted. */
    public function proposed(): string
    {
        $watts = $this->life === null || $this->hours === null ? null : $this->life->everyday($this->hours, $this->can);

        return $this->agreed() !== '' ? $this->agreed() : (string) $watts;
    }

    public function range(): string
    {
        return $this->can === null ? '' : "This model can be set from {$this->can->leastW} to {$this->can->mostW} W.";
    }

    public function button(): string
    {
        return $this->agreed() === '' ? 'Agreed' : 'Change it';
    }
}
