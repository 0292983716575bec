<?php

declare(strict_types=1);

namespace App\View;

use App\Drawing\PegDrawing;
use Cobblestone\Drivers\Audit\WhereToLook;
use Cobblestone\Drivers\PegFound;
use Cobblestone\Drivers\RefusedFound;
use Cobblestone\Machine\Device;
use Cobblestone\Machine\Identifier\HardwareIdentifier;
use Cobblestone\Machine\Identifier\IdentifierNames;
use Cobblestone\Machine\Machine;

/** One device on the driver shelf, in words and as its drawing. */
final readonly class DriverPeg
{
    /** How it is said, beside what is drawn. */
    private const STANDS = [
        'hung' => 'lies ready',
        'carried' => 'travels on the stick',
        'brought' => 'the system brings it',
        'empty' => 'nothing yet',
    ];

    /** @param  list<Device>  $seen  all alike, as the last look at the devices shows them; empty where it has none */
    public function __construct(
        private PegFound $found,
        private array $seen,
        private Machine $machine,
        private IdentifierNames $names,
    ) {
    }

    public function name(): string
    {
        return $this->found->name;
    }

    public function identifier(): string
    {
        return $this->found->id;
    }

    public function hangs(): string
    {
        return $this->found->hangs;
    }

    public function stands(): string
    {
        return self::STANDS[$this->found->hangs];
    }

    public function package(): string
    {
        return $this->found->package;
    }

    /** "claims pci:51a2:0202, in x64/w2.inf"; empty where no package does. */
    public function claim(): string
    {
        return $this->found->identifier === ''
            ? ''
            : "claims {$this->found->identifier}"
                .($this->found->setupFile === '' ? '' : ", in {$this->found->setupFile}");
    }

    /** The stone that installs it; empty where none does. */
    public function step(): string
    {
        return $this->found->step;
    }

    /** @return list<array{package: string, why: string}> */
    public function refused(): array
    {
        return array_map(static fn (RefusedFound $one): array => [
            'package' => $one->package,
            'why' => $one->words === '' ? "{$one->why->value} decides." : $one->words,
        ], $this->found->refused);
    }

    /** @return list<string> where to look for its driver, in order; empty where one is known */
    public function where(): array
    {
        $identifier = HardwareIdentifier::of($this->found->id);

        return $this->found->hangs !== 'empty'
            ? []
            : WhereToLook::for(
                new Device($this->found->name, $this->found->id, $this->found->family),
                $this->machine,
                $identifier === null ? null : $this->names->of($identifier),
            );
    }

    /** What the last look says of it; empty where there was none or it says nothing. */
    public function seen(): string
    {
        $driven = count(array_filter($this->seen, static fn (Device $one): bool => $one->isDriven() === true));
        $without = array_filter($this->seen, static fn (Device $one): bool => $one->isDriven() === false);
        $status = implode(', ', array_unique(array_filter(
            array_map(static fn (Device $one): string => (string) $one->status, $without),
        )));
        $why = $status === '' ? '' : ": {$status}";

        return match (true) {
            $driven === 0 && $without === [] => '',
            count($this->seen) > 1 => "{$driven} of ".count($this->seen)." have a driver{$why}",
            $driven === 1 => 'has a driver',
            default => "has none{$why}",
        };
    }

    /** @return array{peg: string, cord: string, stone: string, stick: string} */
    public function drawing(): array
    {
        return PegDrawing::of($this->found->hangs, $this->found->id);
    }
}
