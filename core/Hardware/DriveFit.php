<?php

declare(strict_types=1);

namespace Cobblestone\Hardware;

use Cobblestone\Machine\Facts\FactQuestion;
use Cobblestone\Machine\Machine;
use Cobblestone\Machine\Model\DriveBay;
use Cobblestone\Runbook\Act;
use Cobblestone\Runbook\Blocker;
use Cobblestone\Runbook\Contribution;
use Cobblestone\Runbook\Door;

/** Whether the drive that was bought goes into the place it is meant for, before anything is opened (rule H2). */
final class DriveFit
{
    public const FORM = 'fitted.form';

    public const INTERFACE = 'fitted.interface';

    public const HEIGHT = 'fitted.height_mm';

    public static function of(Machine $machine, Opening $opening): Contribution
    {
        $bay = $opening->bay();
        if ($bay === null) {
            return new Contribution();
        }
        $questions = [];
        foreach ([self::FORM, self::INTERFACE] as $fact) {
            if ($machine->fact($fact)->isUnknown()) {
                $questions[] = FactQuestion::about($fact, 'whether the new drive goes in', 'H2', 58);
            }
        }
        $against = self::against($machine, $bay);

        return new Contribution(
            questions: $questions,
            blockers: $against === [] ? [] : [
                Blocker::narrow(
                    'drive-does-not-fit',
                    'The new drive does not go in: '.implode('; ', $against).". The place takes {$opening->baySaid()}.",
                    'H2',
                    [Act::OpenMachine, Act::FitPart],
                    Door::fact(self::FORM, 'Get a drive that fits, and say its form and interface.'),
                    self::facts($machine),
                ),
            ],
        );
    }

    /** @return list<string> */
    private static function against(Machine $machine, DriveBay $bay): array
    {
        [$form, $interface] = [$machine->fact(self::FORM)->text(), $machine->fact(self::INTERFACE)->text()];
        $height = $machine->fact(self::HEIGHT)->value;
        $said = static fn (string $form): string => DriveBay::FORMS[$form] ?? $form;
        $wired = static fn (string $interface): string => DriveBay::INTERFACES[$interface] ?? $interface;

        return [
            ...$form === '' || $form === $bay->form ? [] : ["it is {$said($form)}"],
            // The keying of a slot lets drives in that it is not wired for: they are simply not seen.
            ...$interface === '' || $interface === $bay->interface ? [] : [
                "it speaks {$wired($interface)}, the slot {$wired($bay->interface)}",
            ],
            ...is_numeric($height) && $bay->heightMm !== null && (float) $height > $bay->heightMm
                ? ["with its spreader it is {$height} mm high"]
                : [],
        ];
    }

    /** @return list<string> */
    private static function facts(Machine $machine): array
    {
        $facts = [];
        foreach ([self::FORM, self::INTERFACE, self::HEIGHT] as $fact) {
            $value = $machine->fact($fact);
            if (! $value->isUnknown()) {
                $facts[] = "{$fact} = {$value->spoken()}";
            }
        }

        return $facts;
    }
}
