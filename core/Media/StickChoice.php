<?php

declare(strict_types=1);

namespace Cobblestone\Media;

use Cobblestone\Catalogue\Image;
use Cobblestone\Catalogue\Stick;
use Cobblestone\Quantity\Bytes;
use Cobblestone\Runbook\Decision;

/**
 * Which stick: fits, healthy, contents may go; then by school and speed; every other one refused with its reason
 * (rule M7).
 */
final readonly class StickChoice
{
    private function __construct(public ?Stick $stick, public Decision $decision)
    {
    }

    /** @param  Bytes  $need  bytes the stick must have, spare included */
    public static function decide(string $id, string $title, SticksAtHand $hand, Bytes $need): self
    {
        [$sticks, $school, $connectors] = [$hand->sticks, $hand->school, $hand->connectors];
        $refused = [];
        $fit = [];
        foreach ($sticks as $stick) {
            $against = self::against($stick, $need);
            if ($against === []) {
                $fit[] = $stick;
            } else {
                $refused[$stick->name] = $against;
            }
        }
        $facts = ["need {$need->exact()}", "policy stick = {$school}"];
        if ($fit === []) {
            return self::noneFits($id, $title, $need, $sticks, $refused, $facts);
        }
        $fit = self::sorted($fit, $connectors);
        $chosen = $school === 'next-up' ? self::nextSizeUp($fit, $connectors) : $fit[0];
        foreach ($fit as $stick) {
            if ($stick !== $chosen) {
                $refused[$stick->name] = [self::whyNot($stick, $chosen, $connectors)];
            }
        }
        $reasons = [
            ...($chosen->health === 'watch' ? ['It is on watch after failures: no healthier one fits.'] : []),
            ...($chosen->keptFor === null ? [] : ["It is kept for {$chosen->keptFor}: no free one fits."]),
            "{$need->decimal()} are needed, it has {$chosen->size()->decimal()}.",
            "It writes at {$chosen->writeRate()->label()}, and its contents may go.",
        ];

        return new self($chosen, new Decision($id, $title, $chosen->name, $reasons, $refused, $facts, 'M7'));
    }

    /**
     * @param  list<Stick>  $sticks
     * @param  array<string, list<string>>  $refused
     * @param  list<string>  $facts
     */
    private static function noneFits(
        string $id,
        string $title,
        Bytes $need,
        array $sticks,
        array $refused,
        array $facts,
    ): StickChoice {
        return new self(
            null,
            new Decision(
                $id,
                $title,
                "any stick of at least {$need->decimal()}",
                [
                    $sticks === []
                        ? 'No stick of the register is known to this job: any one of this size will do.'
                        : 'No stick in the register can take it.',
                ],
                $refused,
                $facts,
                'M7',
            ),
        );
    }

    /**
     * @param  non-empty-list<Stick>  $fit
     * @param  list<string>  $connectors
     * @return non-empty-list<Stick>
     */
    private static function sorted(array $fit, array $connectors): array
    {
        usort(
            $fit,
            static fn (Stick $a, Stick $b): int => [
                self::standing($a, $connectors),
                $a->size()->count,
                -$a->writeRate()->bytesPerSecond,
                $a->id,
            ] <=> [
                self::standing($b, $connectors),
                $b->size()->count,
                -$b->writeRate()->bytesPerSecond,
                $b->id,
            ],
        );

        return $fit;
    }

    /** Nobody knows how large the image is once expanded: no size is a need that nobody has measured (rule M2). */
    public static function unmeasured(string $id, string $title, Image $image): self
    {
        return new self(
            null,
            new Decision(
                $id,
                $title,
                'once the image is measured',
                ["{$image->name} is compressed in a way that does not tell its expanded size."],
                [],
                [$image->dated()],
                'M2, M7',
            ),
        );
    }

    /** @return list<string> what makes it impossible, whoever chooses */
    public static function against(Stick $stick, Bytes $need): array
    {
        $against = [];
        if ($need->isMoreThan($stick->size())) {
            $against[] = "too small: {$stick->size()->decimal()} of {$need->decimal()} needed";
        }
        if ($stick->health === 'retired') {
            $against[] = 'retired after failures';
        }
        if (! $stick->contentsMayGo) {
            $against[] = 'its contents must stay: '.($stick->contents ?? 'not known');
        }

        return $against;
    }

    /**
     * Among those that are as healthy, as free and as near to the ports as the first.
     *
     * @param  non-empty-list<Stick>  $fit smallest first
     * @param  list<string>  $connectors
     */
    private static function nextSizeUp(array $fit, array $connectors): Stick
    {
        foreach ($fit as $stick) {
            $larger = $stick->size()->count > $fit[0]->size()->count * 1.2;
            if ($larger && self::standing($stick, $connectors) === self::standing($fit[0], $connectors)) {
                return $stick;
            }
        }

        return $fit[0];
    }

    /**
     * @param  list<string>  $connectors
     * @return list<int> less is better
     */
    private static function standing(Stick $stick, array $connectors): array
    {
        return [self::isOnWatch($stick), self::isKept($stick), self::needsAdapter($stick, $connectors)];
    }

    /** Healthy history first (rule M7). */
    private static function isOnWatch(Stick $stick): int
    {
        return $stick->health === 'watch' ? 1 : 0;
    }

    /** What another job has is taken last of the healthy ones. */
    private static function isKept(Stick $stick): int
    {
        return $stick->keptFor === null ? 0 : 1;
    }

    /** @param  list<string>  $connectors */
    private static function needsAdapter(Stick $stick, array $connectors): int
    {
        return $connectors !== [] && ! in_array($stick->connector, $connectors, true) ? 1 : 0;
    }

    /** @param  list<string>  $connectors */
    private static function whyNot(Stick $stick, Stick $chosen, array $connectors): string
    {
        return match (true) {
            self::isOnWatch($stick) > self::isOnWatch($chosen) => 'on watch: it failed before, or nobody knows where '
                .'it comes from',
            self::isKept($stick) > self::isKept($chosen) => "kept for {$stick->keptFor}",
            self::needsAdapter($stick, $connectors) > self::needsAdapter($chosen, $connectors) => 'would need an '
                ."adapter: {$stick->connector} does not go into this machine",
            $stick->size()->count > $chosen->size()->count => "larger than needed: {$stick->size()->decimal()}",
            $stick->size()->count < $chosen->size()->count => 'the policy wants the next size up',
            default => "slower: {$stick->writeRate()->label()}",
        };
    }
}
