<?php

declare(strict_types=1);

namespace Cobblestone\Drivers;

use Cobblestone\Policy\Policy;
use Cobblestone\Runbook\Decision;

/**
 * Whether what drives the old card is removed before the new one goes in: always where the makers differ, by the
 * bench's school where they are the same (rule D6).
 */
final readonly class CardChange
{
    public const SCHOOL = 'card_family';

    private const REMOVE = 'the old driver family is removed first';

    private const OVER = 'the new driver goes over the old one';

    private const NOTHING = 'there is nothing to remove';

    private function __construct(public bool $removes, public Decision $decision)
    {
    }

    public static function decide(OldCard $old, CardDriver $new, Policy $policy): self
    {
        $makers = array_unique(array_filter([$old->vendor(), $new->vendor()]));
        $facts = array_values(array_filter([
            $old->device === null ? null : "{$old->name}: {$old->device->identifier}",
            $new->identifier === null ? null : "{$new->card}: {$new->identifier}",
        ]));
        if ($old->isDrivenBySystem) {
            return self::of(false, self::NOTHING, [
                "The system drives {$old->name} by itself, and the shelf holds nothing that would have been added.",
            ], [], $facts);
        }
        if ($old->device !== null && in_array($new->identifier, $old->device->forms(), true)) {
            return self::of(false, self::NOTHING, [
                'Both cards have the same identifier: what drives the one drives the other.',
            ], [], $facts);
        }
        if ($old->vendor() === null || $new->vendor() === null) {
            return self::of(true, self::REMOVE, [
                ($old->vendor() === null ? "The device list does not tell which card {$old->name} is"
                    : "The identifier of {$new->card} is not known").
                    ': whether both are of one maker is not known, and removing first is right in either case.',
            ], [], $facts);
        }

        return count($makers) === 1
            ? self::sameMaker($makers[0], $policy, $facts)
            : self::of(true, self::REMOVE, [
                "Two makers, {$old->vendor()} and {$new->vendor()}: left-overs of one are in the other's way.",
            ], [self::OVER => ['It is for a card of the same maker only.']], $facts);
    }

    /** @param  list<string>  $facts */
    private static function sameMaker(string $maker, Policy $policy, array $facts): self
    {
        $removes = $policy->school(self::SCHOOL) === 'remove';
        $against = $removes
            ? [self::OVER => ['The bench removes first, whatever the maker.']]
            : [self::REMOVE => ['It costs a start in safe mode, and gains nothing where both are of one maker.']];

        return self::of($removes, $removes ? self::REMOVE : self::OVER, [
            "Both cards are of one maker, {$maker}; the bench's school decides.",
        ], $against, $facts);
    }

    /**
     * @param  list<string>  $reasons
     * @param  array<string, list<string>>  $refused
     * @param  list<string>  $facts
     */
    private static function of(bool $removes, string $chosen, array $reasons, array $refused, array $facts): self
    {
        return new self(
            $removes,
            new Decision(
                'drivers.old-card',
                'What becomes of the old driver',
                $chosen,
                $reasons,
                $refused,
                $facts,
                'D6',
            ),
        );
    }
}
