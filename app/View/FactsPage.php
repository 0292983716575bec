<?php

declare(strict_types=1);

namespace App\View;

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
        return array_map(function (array $fact): array {
            $name = $fact['name'];
            $masked = in_array($name, self::MASKED, true);
            $stated = old('facts')[$name] ?? ($this->corrected[$name] ?? '');

            return [
                'name' => $name,
                'value' => $masked ? Confirmation::mask((string) $fact['value']) : self::said($fact, false),
                'certainty' => $fact['certainty'],
                'from' => self::origin($fact),
                'typed' => $masked ? null : (is_scalar($stated) ? (string) $stated : ''),
                'learnable' => $fact['certainty'] === 'known' &&
                    is_scalar($fact['value']) &&
                    FactRegistry::isOfModel($name),
            ];
        }, $this->plan->facts);
    }

    /**
     * @return list<array{fact: string, open: bool, settled: string,
     *     sides: list<array{value: string, from: string, settles: string|null}>}>
     */
    public function contradictions(): array
    {
        return array_values(array_map(static fn (array $one): array => [
            'fact' => $one['fact'],
            'open' => $one['settled_by'] === null,
            'settled' => match ($one['settled_by']) {
                'rule' => 'settled by rule: the first outranks the other',
                'person' => 'settled by a person',
                default => 'waits for you',
            },
            'sides' => array_map(static fn (array $fact): array => [
                'value' => self::said($fact, true),
                'from' => self::origin($fact),
                'settles' => is_scalar($fact['value']) && $one['settled_by'] !== 'rule'
                    ? self::plain($fact['value'])
                    : null,
            ], [$one['kept'], $one['set_aside']]),
        ], $this->plan->assessment['contradictions'] ?? []));
    }

    /** @param  array<string, mixed>  $fact */
    private static function origin(array $fact): string
    {
        return $fact['origin'].($fact['at'] ? ', '.Words::moment($fact['at']) : '');
    }

    /** @param  array<string, mixed>  $fact */
    private static function said(array $fact, bool $binary): string
    {
        $value = $fact['value'];
        if (is_array($value)) {
            return implode(', ', array_filter($value, is_scalar(...)));
        }
        if (is_int($value) && str_ends_with($fact['name'], '_bytes')) {
            return $binary ? Bytes::of($value)->binary() : Bytes::of($value)->decimal();
        }

        return self::plain($value);
    }

    private static function plain(mixed $value): string
    {
        return is_bool($value) ? ($value ? 'yes' : 'no') : (is_scalar($value) ? (string) $value : '');
    }
}
