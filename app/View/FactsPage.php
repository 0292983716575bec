<?php

declare(strict_types=1);

namespace App\View;

use Cobblestone\Document\Fields;
use Cobblestone\Findings\ContradictionFound;
use Cobblestone\Findings\FactFound;
use Cobblestone\Findings\Findings;
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
     * @return list<array{name: string, value: string, certainty: string, from: string, typed: string|null,
     *     learnable: bool}>  typed: null where nobody may correct it here
     */
    public function facts(): array
    {
        $facts = Fields::of(['facts' => $this->plan->facts])->each('facts', FactFound::read(...));

        return array_map(function (FactFound $fact): array {
            $masked = in_array($fact->name, self::MASKED, true);
            $stated = old('facts')[$fact->name] ?? ($this->corrected[$fact->name] ?? '');

            return [
                'name' => $fact->name,
                'value' => $masked ? Confirmation::mask(self::plain($fact->value)) : self::said($fact, false),
                'certainty' => $fact->certainty,
                'from' => self::origin($fact),
                'typed' => $masked ? null : (is_scalar($stated) ? (string) $stated : ''),
                'learnable' => $fact->certainty === 'known' &&
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
        return array_map(static fn (ContradictionFound $one): array => [
            'fact' => $one->fact,
            'open' => $one->settledBy === null,
            'settled' => match ($one->settledBy) {
                'rule' => 'settled by rule: the first outranks the other',
                'person' => 'settled by a person',
                default => 'waits for you',
            },
            'sides' => array_map(static fn (FactFound $fact): array => [
                'value' => self::said($fact, true),
                'from' => self::origin($fact),
                'settles' => is_scalar($fact->value) && $one->settledBy !== 'rule'
                    ? self::plain($fact->value)
                    : null,
            ], [$one->kept, $one->setAside]),
        ], Findings::of($this->plan)->contradictions);
    }

    private static function origin(FactFound $fact): string
    {
        return $fact->origin.($fact->at === null || $fact->at === '' ? '' : ', '.Words::moment($fact->at));
    }

    private static function said(FactFound $fact, bool $binary): string
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
