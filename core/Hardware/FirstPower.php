<?php

declare(strict_types=1);

namespace Cobblestone\Hardware;

use Cobblestone\Firmware\WayIn;
use Cobblestone\Machine\Device;
use Cobblestone\Machine\Drive;
use Cobblestone\Machine\Machine;
use Cobblestone\Quantity\Bytes;
use Cobblestone\Quantity\Estimate;
use Cobblestone\Runbook\Act;
use Cobblestone\Runbook\BootEvent;
use Cobblestone\Runbook\Contribution;
use Cobblestone\Runbook\DoneWords;
use Cobblestone\Runbook\GatherItem;
use Cobblestone\Runbook\PathFact;
use Cobblestone\Runbook\Presence;
use Cobblestone\Runbook\Reason;
use Cobblestone\Runbook\Stage;
use Cobblestone\Runbook\Step;
use Cobblestone\Runbook\Waiting;
use Cobblestone\Runbook\Wants;

/** A new build gets power for the first time: looked over, started, its parts counted in setup (rules H3, F4). */
final class FirstPower
{
    /** @param  Drive|null  $new  the drive it gets its system on, as far as it is known */
    public static function plan(Machine $machine, ?Drive $new): Contribution
    {
        return new Contribution(
            [self::lookOver($machine), self::firstPower($machine, $new), self::close()],
            gather: [new GatherItem('screwdriver and a tray', 'the case is open; screws out = screws in')],
            initial: [PathFact::SHUT_DOWN],
        );
    }

    /** @return list<array<string, string>> */
    private static function counted(Machine $machine, ?Drive $new): array
    {
        $rows = [];
        foreach (['memory_bytes' => 'Memory', 'cores' => 'Cores'] as $fact => $title) {
            $value = $machine->fact($fact);
            if (is_int($value->value)) {
                $rows[] = [
                    'seen in setup' => $title,
                    'must be' => $fact === 'memory_bytes' ? Bytes::of($value->value)->binary() : (string) $value->value,
                ];
            }
        }
        $size = $new === null ? 'with its size' : "{$new->size->decimal()} ({$new->size->binary()})";
        $rows[] = ['seen in setup' => 'Drive', 'must be' => "listed, {$size}"];
        $rows[] = [
            'seen in setup' => 'Processor temperature',
            'must be' => 'standing still below 60 °C after five minutes',
        ];

        return $rows;
    }

    private static function close(): Step
    {
        return new Step(
            'hardware.close',
            Stage::Hardware,
            'Close the case',
            Presence::Hands,
            Estimate::minutes(2, 4, 10),
            [
                'Shut down and power off.',
                'Side panels on, leads away from fans, screws out are screws in by type. Take a photo before.',
            ],
            before: [PathFact::POWERED_ONCE, PathFact::FIRMWARE_RECORDED, PathFact::FIRMWARE_READY],
            after: [PathFact::CASE_CLOSED],
            needs: ['hands', 'screwdriver'],
            acts: [Act::CloseMachine],
            because: [new Reason('It is closed only once everything was seen in setup.', 'H3')],
        );
    }

    private static function lookOver(Machine $machine): Step
    {
        return new Step(
            'hardware.look-over',
            Stage::Hardware,
            'Look the build over',
            Presence::Hands,
            Estimate::minutes(4, 8, 20),
            [
                'Both power leads of the board in until they click; the processor\'s fan on its own header.',
                self::memory($machine),
                self::card($machine),
                'No screw loose, no stand-off under a spot without a hole. Nothing attached but keyboard and screen.',
            ],
            before: [PathFact::MACHINE_IDENTIFIED],
            after: ['hardware.looked-over'],
            needs: ['hands', 'screwdriver'],
            acts: [Act::OpenMachine],
            because: [
                new Reason(
                    'Most new builds that stay dead have a lead or a module that is not fully in.',
                    'H4',
                ),
            ],
            cautions: OpenedCase::cautions($machine->kind),
        );
    }

    /** Which slots for how many modules, where the model says so. */
    private static function memory(Machine $machine): string
    {
        $said = array_map(
            static fn (array $slots): string => (count($slots) === 1 ? '1 module' : count($slots).' modules').' in '
                .implode(', ', $slots),
            $machine->model->memory->populations ?? [],
        );

        return $said === []
            ? 'Memory in the slots the board names for this count, both ends locked.'
            : 'Memory, both ends locked: '.implode('; ', $said).'.';
    }

    /** Not every build has a card; where a place for one is described, what is in it is named. */
    private static function card(Machine $machine): string
    {
        $place = (new Opening($machine->model))->cardSlot();
        $graphics = array_filter(
            $machine->devices,
            static fn (Device $device): bool => $device->family === 'graphics',
        );
        $named = count($graphics) === 1 ? array_values($graphics)[0]->name : 'the card';

        return $place === null || $graphics === []
            ? 'Is there a graphics card: seated, its own power leads in, the picture cable on it.'
            : ucfirst($named).', where it is fitted: seated in '.($place->where ?? 'its slot')
                .', its own power leads in, the picture cable on it.';
    }

    private static function firstPower(Machine $machine, ?Drive $new): Step
    {
        $way = WayIn::setup($machine);

        return new Step(
            'hardware.first-power',
            Stage::Hardware,
            'First power',
            Presence::StayNear,
            Estimate::minutes(1, 5, 15),
            [
                ...$way->instructions('the setup'),
                'Smoke, sparks or a fan that stands still: cut the power at once.',
                'Compare the table, and stay in the setup.',
            ],
            before: ['hardware.looked-over'],
            after: [PathFact::POWERED_ONCE, PathFact::PART_SEEN],
            needs: ['slot', 'power'],
            done: DoneWords::of('It was started for the first time, and its parts were counted'),
            acts: [Act::FitPart],
            because: [new Reason('The parts are counted before a system hides what is missing.', 'H3')],
            rows: self::counted($machine, $new),
            evidence: [SeenInSetup::size($new)],
            waiting: new Waiting(
                [
                    'black for several minutes while memory is tried out',
                    'it restarts by itself once or twice',
                ],
                'After fifteen minutes of black: one module in the first slot, then as the memory sheet says.',
                1,
            ),
            boots: [BootEvent::start(Wants::Setup, BootEvent::BY_KEY)],
            opensWith: Wants::Setup,
        );
    }
}
