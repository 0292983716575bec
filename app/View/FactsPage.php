<?php

declare(strict_types=1);

namespace App\View;

use Cobblestone\Findings\Findings;
use Cobblestone\Machine\Contradiction;
use Cobblestone\Machine\Fact;
use Cobblestone\Machine\Facts\FactRegistry;
use Cobblestone\Quantity\Bytes;
use Cobblestone\Runbook\Confirmation;
use Cobblestone\Runbook\Plan;

/** What is known of a machine, from where, and what sources say differently. */
final readonly class FactsPage
{
    /** The serial and the drive it names are read from the drive itself: nobody types them into a table. */
    private const MASKED = ['target.serial', 'target.drive'];

    /** @param  array<string, mixed>  $corrected  facts that the brief states: name => value */
    public function __construct(private Plan $plan, private array $corrected)
    {
    }

    public function ofModel(): bool
    {
        return $this->plan->job->model !== null;
    }

    public function machine(): string
    {
        return $this->plan->job->machine;
    }

    /** @return list<string> */
    public function notes(): array
    {
        return $this->plan->notes;
    }

    /**
     * What is known, and what is taken for granted while nobody knows it.
     *
     * @return list<array{name: string, id: string, value: string, certainty: string, from: string, typed: string|null,
     *     options: list<string>, learnable: bool}>  typed: null where nobody may correct it here
     */
    public function facts(): array
    {
        $facts = array_map(Fact::read(...), $this->plan->facts());
        $known = array_map(static fn (Fact $fact): string => $fact->name, $facts);
        foreach ($this->plan->assumed as $one) {
            $sayable = FactRegistry::find($one->fact) !== null && ! in_array($one->fact, $known, true);
            $facts = [...$facts, ...$sayable ? [Fact::unknown($one->fact)] : []];
        }

        return array_map(function (Fact $fact): array {
            $masked = in_array($fact->name, [...self::MASKED, ...IntakeFields::FACTS], true);
            $hidden = in_array($fact->name, self::MASKED, true);
            $stated = old('facts')[$fact->name] ?? ($this->corrected[$fact->name] ?? '');

            return [
                'name' => $fact->name,
                'id' => 'facts-'.str_replace('.', '-', $fact->name),
                'value' => $hidden ? Confirmation::mask(self::plain($fact->value)) : self::said($fact, false),
                'certainty' => $fact->certainty->value,
                'from' => self::origin($fact),
                'typed' => $masked ? null : (is_scalar($stated) ? (string) $stated : ''),
                'options' => FactRegistry::find($fact->name)?->words() ?? [],
                'learnable' => $fact->isKnown() &&
                    is_scalar($fact->value) &&
                    FactRegistry::isOfModel($fact->name),
            ];
        }, $facts);
    }

    /**
     * @return list<array{fact: string, open: bool, settled: string,
     *     sides: list<array{value: string, from: string, settles: string|null}>}>
     */
    public function contradictions(): array
    {
        return array_map(static fn (Contradiction $one): array => [
            'fact' => $one->kept->name,
            'open' => $one->isOpen(),
            'settled' => match ($one->settledBy) {
                Contradiction::BY_RULE => 'settled by rule: the first outranks the other',
                Contradiction::BY_PERSON => 'settled by a person',
                default => 'waits for you',
            },
            'sides' => array_map(static fn (Fact $fact): array => [
                'value' => self::said($fact, true),
                'from' => self::origin($fact),
                'settles' => is_scalar($fact->value) && $one->settledBy !== Contradiction::BY_RULE
                    ? self::plain($fact->value)
                    : null,
            ], [$one->kept, $one->setAside]),
        ], Findings::of($this->plan)->contradictions);
    }

    private static function origin(Fact $fact): string
    {
        return $fact->origin.($fact->at === null || $fact->at === '' ? '' : ', '.Words::moment($fact->at));
    }

    private static function said(Fact $fact, bool $binary): string
    {
        $value = $fact->value;
        if (is_array($value)) {
            return implode(', ', array_filter($value, is_scalar(...)));
        }
        if (is_int($value) && str_ends_with($fact->name, '_bytes')) {
            return $binary ? Bytes::of($value)->binary() : Bytes::of($value)->decimal();
        }

        return self::plain($value);
    }

    private static function plain(mixed $value): string
    {
        return is_bool($value) ? ($value ? 'yes' : 'no') : (is_scalar($value) ? (string) $value : '');
    }
}
