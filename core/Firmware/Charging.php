<?php

declare(strict_types=1);

namespace Cobblestone\Firmware;

use Cobblestone\Machine\Machine;
use Cobblestone\Machine\Model\Hub;
use Cobblestone\Quantity\Duration;
use Cobblestone\Quantity\Energy;
use Cobblestone\Quantity\Power;

/** How long a battery charges to a share: watt-hours missing over what the charger leaves (rule F8). */
final readonly class Charging
{
    private function __construct(private Energy $missing, private Power $charger, private Power $draw)
    {
    }

    /**
     * @param  int  $read  percent of charge now
     * @param  int  $percent  wanted
     * @return self|null  null where battery or draw are not known, or the charger leaves nothing
     */
    public static function of(Machine $machine, int $read, int $percent): ?self
    {
        $draw = $machine->battery?->draw;
        if ($machine->battery === null || $draw === null) {
            return null;
        }
        $said = $machine->fact('charger.watts')->value;
        $watts = is_numeric($said) && $said > 0 ? (float) $said : ($machine->model->hub ?? Hub::usual())->chargerW;
        $missing = $machine->battery->present()->times(($percent - $read) / 100);
        $charging = new self($missing, Power::watts($watts), $draw);

        return $charging->net()->milliwatts > 0 ? $charging : null;
    }

    public function time(): Duration
    {
        return Duration::seconds((int) ceil($this->missing->milliwattHours * 3600 / $this->net()->milliwatts));
    }

    /** "12.3 Wh missing over 45.0 W − 14.0 W: about 24 min." */
    public function sentence(): string
    {
        return "{$this->missing->label()} missing over {$this->charger->label()} − {$this->draw->label()}: about "
            .$this->time()->label().' of charging.';
    }

    private function net(): Power
    {
        return $this->charger->minus($this->draw);
    }
}
