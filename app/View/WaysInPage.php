<?php

declare(strict_types=1);

namespace App\View;

use App\Drawing\PortDrawing;
use App\Drawing\PressDrawing;
use Cobblestone\Firmware\PressSequence;
use Cobblestone\Firmware\RankedWay;
use Cobblestone\Firmware\WayIn;
use Cobblestone\Machine\Kind;
use Cobblestone\Machine\Machine;
use Cobblestone\Machine\Port;

/** How this machine's menu, setup and recovery are reached, and where the stick goes. */
final readonly class WaysInPage
{
    /** Where it leads => heading, and when it is taken. */
    private const WHICH = [
        'menu' => ['One-time menu', 'First choice: it leaves nothing to put back.'],
        'setup' => ['Setup', 'Only where a setting has to change.'],
        'recovery' => ['Recovery', ''],
    ];

    /** @param  Port|null  $port  where the stick goes */
    public function __construct(public Machine $machine, private ?Port $port)
    {
    }

    /** @return list<array{id: string, name: string, when: string, way: WayIn, presses: PressDrawing}> those known */
    public function ways(): array
    {
        $ways = [];
        foreach (self::WHICH as $id => [$name, $when]) {
            $way = match ($id) {
                'menu' => WayIn::menu($this->machine),
                'setup' => WayIn::setup($this->machine),
                default => WayIn::recovery($this->machine),
            };
            if ($way->ranking !== []) {
                $presses = PressDrawing::of(PressSequence::of($way->ranking[0]->way));
                $ways[] = ['id' => $id, 'name' => $name, 'when' => $when, 'way' => $way, 'presses' => $presses];
            }
        }

        return $ways;
    }

    /** Whose knowledge a way is. */
    public function from(RankedWay $way): string
    {
        return match ($way->from) {
            'model' => 'this model',
            'maker' => 'its maker',
            default => "a usual {$this->machine->kind->value}",
        };
    }

    /** Whether a try can be kept: only for a model of the catalogue. */
    public function countsTries(): bool
    {
        return $this->machine->isCatalogued();
    }

    /** Heading of the recovery over a cable; null where the model has none. */
    public function cable(): ?string
    {
        $recovery = $this->machine->model?->recovery;

        return $recovery === null || $recovery->sequence === []
            ? null
            : "{$recovery->cable} · helper at least {$recovery->helperMinimum}";
    }

    public function cablePresses(): PressDrawing
    {
        return PressDrawing::of(PressSequence::ofMoves($this->machine->model->recovery->sequence ?? []));
    }

    public function cableSide(): ?PortDrawing
    {
        $id = $this->machine->model?->recovery?->portId;

        return $id === null ? null : PortDrawing::of($this->machine->kind, $this->machine->model->ports, $id);
    }

    public function cableCaption(): string
    {
        $recovery = $this->machine->model?->recovery;
        if ($this->cableSide() !== null) {
            return "Cable into this socket: {$recovery?->port}, seen from {$recovery?->seenFrom}. "
                .'A charging-only cable carries no data.';
        }

        return 'Cable into '.($recovery->port ?? 'the socket the maker names').
            ($recovery?->seenFrom === null ? '.' : ", seen from {$recovery->seenFrom}.");
    }

    public function takesStick(): bool
    {
        return $this->port !== null && $this->machine->kind !== Kind::Sealed;
    }

    public function stickSide(): ?PortDrawing
    {
        return $this->port === null
            ? null
            : PortDrawing::of($this->machine->kind, $this->machine->model->ports ?? [], $this->port->id);
    }

    public function stickCaption(): string
    {
        if ($this->port === null) {
            return '';
        }
        $where = ucfirst($this->port->connector).", {$this->port->where}";
        $side = $this->stickSide();

        return $side === null
            ? "{$where}. Nobody has written down which side that is as one faces it."
            : "{$where}, as one faces the {$side->side} side".
                ($this->port->charges ? '. The charger shares this kind of socket.' : '.');
    }

    public function notListed(): string
    {
        return 'Not listed there? Another socket on the board itself, no hub'.
            ($this->machine->kind === Kind::Desktop ? ', no front socket.' : '.');
    }

    public function isEmpty(): bool
    {
        return $this->ways() === [] && $this->cable() === null;
    }
}
