<?php

declare(strict_types=1);

namespace Cobblestone\Firmware;

use Cobblestone\Catalogue\Image;
use Cobblestone\Machine\Machine;
use Cobblestone\Quantity\Estimate;
use Cobblestone\Runbook\Act;
use Cobblestone\Runbook\BootEvent;
use Cobblestone\Runbook\Decision;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Presence;
use Cobblestone\Runbook\Reason;
use Cobblestone\Runbook\Stage;
use Cobblestone\Runbook\Step;
use Cobblestone\Runbook\Waiting;
use Cobblestone\Runbook\Wants;

/** How the stick is started: the stone, and why so (rule F1). */
final class StickStartStep
{
    public static function step(Machine $machine, Image $image, ?string $stickConnector, bool $permanent): Step
    {
        $way = WayIn::menu($machine);
        $port = FirmwarePlanner::portFor($machine, $stickConnector);
        $plug = $port === null ? 'Plug the stick in.' : "Plug the stick into {$port->connector}, {$port->where}.";
        $lines = $permanent
            ? ['Power on: the stick is first in the order.']
            : $way->instructions('the list of devices');
        $uefi = $image->kind === 'optical-hybrid'
            || $image->hasLegacyLoader() ? ['Two lines for one stick: take the one marked UEFI.'] : [];

        return new Step(
            'boot.start',
            Stage::Boot,
            $permanent ? 'Start the stick' : 'Start from the stick',
            Presence::Hands,
            Estimate::minutes(1, 2, 8),
            [$plug, ...$lines, ...($permanent ? [] : ['Choose the stick.']), ...$uefi],
            before: [
                PathFact::STICK_PROVEN, PathFact::FIRMWARE_RECORDED, PathFact::FIRMWARE_READY, PathFact::SHUT_DOWN,
                PathFact::POWER_SAFE, PathFact::GATHERED,
            ],
            after: [PathFact::MEDIUM_STARTED],
            needs: ['hands', 'slot', 'stick'],
            acts: [Act::StartMedium],
            because: self::because($permanent, $way),
            cautions: $way->forThisModel
                ? []
                : ['Nobody has confirmed a key for this model yet: several tries are normal.'],
            waiting: self::waiting(),
            boots: [
                BootEvent::change(['stick' => 'in']),
                BootEvent::start(Wants::Installer, $permanent ? BootEvent::BY_ORDER : BootEvent::BY_MENU),
            ],
            opensWith: $permanent ? null : Wants::Installer,
        );
    }

    /**
     * @return list<Reason>
     */
    private static function because(bool $permanent, WayIn $way): array
    {
        return [
            new Reason(
                $permanent
                    ? 'The bench policy starts sticks by permanent order.'
                    : 'The one-time menu leaves nothing to put back.',
                'F1',
                $way->source,
            ),
        ];
    }

    private static function waiting(): Waiting
    {
        return new \Cobblestone\Runbook\Waiting(
            ['a black screen for some seconds', 'the maker\'s sign, then the installer'],
            'Not in the list? In this order: another port; written for the other mode; USB start off; the '
                .'firmware\'s fast start; another stick. Asked for a recovery key: power off, nothing is lost.',
            1,
        );
    }

    public static function decision(Machine $machine, bool $permanent): Decision
    {
        $way = WayIn::menu($machine);

        return new Decision(
            'boot.way',
            'How the stick is started',
            $permanent ? 'permanent order, stick first' : 'one-time menu',
            [$permanent ? 'The bench policy is "permanent order".' : 'It leaves nothing to put back.'],
            [
                $permanent
                    ? 'one-time menu'
                    : 'permanent order' => [
                        $permanent
                            ? 'The policy prefers not to catch a key window.'
                            : 'It would have to be put back, and could start a forgotten stick later.',
                    ],
            ],
            [$way->source],
            'F1');
    }
}
