<?php

declare(strict_types=1);

namespace Cobblestone\Drivers;

use Cobblestone\Catalogue\DriverPackage;
use Cobblestone\Catalogue\SystemProfile;
use Cobblestone\Machine\Device;
use Cobblestone\Machine\Facts\FactQuestion;
use Cobblestone\Machine\Facts\FactRegistry;
use Cobblestone\Machine\Machine;
use Cobblestone\Runbook\Act;
use Cobblestone\Runbook\Decision;
use Cobblestone\Runbook\Question;

/**
 * How the new system gets online: by a package on the stick, by its own driver, or by what somebody has laid ready
 * (rule D5).
 */
final readonly class NetworkWay
{
    public const FACT = 'network.driver';

    /**
     * @param  list<Question>  $questions
     * @param  bool  $byHand  whether somebody fetches and carries its driver
     */
    private function __construct(
        public Decision $decision,
        public array $questions,
        public string $because,
        public bool $byHand = false,
    ) {
    }

    /**
     * @param  list<DriverPackage>  $offline  packages that travel on the stick for it
     * @param  list<Device>  $unresolved  devices that neither shelf nor system has a driver for
     */
    public static function of(Machine $machine, SystemProfile $system, array $offline, array $unresolved): self
    {
        $adapters = array_values(
            array_filter($machine->devices, static fn (Device $device): bool => $device->family === 'network'),
        );
        $facts = array_map(static fn (Device $device): string => "{$device->name} {$device->identifier}", $adapters);
        $without = array_filter($unresolved, static fn (Device $device): bool => $device->family === 'network');
        $answer = $machine->fact(self::FACT)->text();
        $names = implode(', ', array_map(static fn (DriverPackage $package): string => $package->name, $offline));
        $isAnswered = isset(FactRegistry::offers(self::FACT)[$answer]);
        $unknown = $offline === [] && ($adapters === [] || count($without) === count($adapters));

        return match (true) {
            $offline !== [] => self::as(
                "{$names} on the stick",
                "{$system->name} does not bring the network driver, and without it nothing can be fetched.",
                'Its driver came from the stick.',
                $facts,
                ['fetch it later' => ['There is no network before it.']],
            ),
            $unknown && ! $isAnswered => self::asked($machine, $system, $adapters, $facts),
            $unknown && $answer === 'beside' => self::beside($system, $facts),
            $unknown && $answer === 'stick' => self::byHand($facts),
            $unknown => self::as(
                'nothing extra on the stick',
                "{$system->name} drives this adapter: {$machine->fact(self::FACT)->origin}.",
                'The system drives this adapter.',
                $facts,
            ),
            default => self::as(
                'nothing extra on the stick',
                "{$system->name} brings a driver for network adapters such as this one.",
                "{$system->name} brings its driver.",
                $facts,
            ),
        };
    }

    /**
     * @param  list<string>  $facts
     */
    private static function beside(SystemProfile $system, array $facts): NetworkWay
    {
        return self::as(
            'by another adapter or a phone',
            "{$system->name} has no driver for this machine's own adapter; what it drives lies ready.",
            'Through the adapter or phone that was laid ready.',
            $facts,
        );
    }

    /**
     * @param  list<string>  $facts
     */
    private static function byHand(array $facts): NetworkWay
    {
        $way = self::as(
            'by a driver put onto the stick by hand',
            'The shelf holds none; a stone of its own puts it there before the drive is erased.',
            'Its driver was put onto the stick by hand.',
            $facts,
        );

        return new self($way->decision, [], $way->because, true);
    }

    /**
     * @param  list<string>  $facts
     * @param  array<string, list<string>>  $refused
     */
    private static function as(
        string $chosen,
        string $reason,
        string $because,
        array $facts,
        array $refused = [],
    ): self {
        return new self(
            new Decision(
                'drivers.online',
                'Getting online after the install',
                $chosen,
                [$reason],
                $refused,
                $facts,
                'D5',
            ),
            [],
            $because,
        );
    }

    /**
     * @param  list<Device>  $adapters
     * @param  list<string>  $facts
     */
    private static function asked(Machine $machine, SystemProfile $system, array $adapters, array $facts): self
    {
        $which =
            $adapters === []
                ? 'this machine\'s network adapter, which nobody has read'
                : implode(', ', array_map(static fn (Device $device): string => $device->name, $adapters));
        $question = FactQuestion::about(
            self::FACT,
            'whether the machine can be put online once its drive is erased',
            'D5',
            45,
            [Act::Erase],
        )->worded(FactQuestion::text(self::FACT, ['system' => $system->name, 'adapters' => $which]));

        return new self(
            new Decision(
                'drivers.online',
                'Getting online after the install',
                'not known yet',
                [
                    "Nobody knows whether {$system->name} drives {$which}; without a network nothing can be fetched "
                        .'afterwards.',
                ],
                [],
                $facts,
                'D5',
            ),
            [$question],
            '',
        );
    }
}
