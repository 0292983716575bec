<?php

namespace App\Http\Requests;

use Cobblestone\Brief\BriefFault;
use Cobblestone\Policy\Schools;

/**
 * The parts of an intake that only some kinds of job ask for: reason of an update, the new card, licence, what the
 * owner depends on.
 */
final class IntakeBlocks
{
    use TypedFields;

    /** Block of the brief => its key => field of the form. */
    private const FIELDS = [
        'licence' => ['kind' => 'licence_kind', 'edition' => 'licence_edition'],
        'update' => [
            'reason' => 'update_reason',
            'to' => 'update_to',
            'gives' => 'update_gives',
            'processor' => 'update_processor',
            'on_stick' => 'update_on_stick',
        ],
        'card' => [
            'new' => 'card_new',
            'old' => 'card_old',
            'id' => 'card_id',
            'watts' => 'card_watts',
            'supply_w' => 'card_supply_w',
            'processor_w' => 'card_processor_w',
            'leads' => 'card_leads',
        ],
        'first_boot' => [
            'computer_name' => 'fb_name',
            'region' => 'fb_region',
            'keyboard' => 'fb_keyboard',
            'use' => 'fb_use',
            'account' => 'fb_account',
            'restore' => 'fb_restore',
        ],
    ];

    private const EXTRA = ['what', 'source', 'sha256', 'reason', 'undo'];

    private const NEEDED = ['licence' => 'kind', 'card' => 'new'];

    /** @param  array<string, mixed>  $typed */
    public function __construct(private readonly array $typed)
    {
    }

    /**
     * The brief with the blocks as typed; blocks the form does not show stay as they were.
     *
     * @param  array<string, mixed>  $brief
     * @return array<string, mixed>
     */
    public function over(array $brief): array
    {
        $brief = $this->setting($brief, 'depends', 'depends', $this->list('depends'));
        $brief = $this->setting($brief, 'host', 'host', $this->text('host'));
        $brief = $this->setting($brief, 'collect', 'collect', $this->text('collect') === 'yes' ? true : null);
        $brief = $this->extra($brief);
        foreach (self::fields() as $block => $fields) {
            $values = is_array($brief[$block] ?? null) ? $brief[$block] : [];
            foreach ($fields as $key => $field) {
                $values = $this->setting($values, $key, $field, $this->value($key, $field));
            }
            unset($brief[$block]);
            // A licence without its kind, a card without its name say nothing.
            $brief +=
                $values === [] || ! isset($values[self::NEEDED[$block] ?? array_key_first($values)])
                    ? []
                    : [$block => $values];
        }

        return $brief;
    }

    /**
     * The first of what comes from elsewhere; the form shows one, and the others stay as they were said.
     *
     * @param  array<string, mixed>  $brief
     * @return array<string, mixed>
     */
    private function extra(array $brief): array
    {
        if (! array_key_exists('extra_what', $this->typed)) {
            return $brief;
        }
        $said = [];
        foreach (self::EXTRA as $key) {
            $text = $this->text("extra_{$key}");
            $said[$key] = $key === 'sha256' && $text !== null ? strtolower($text) : $text;
        }
        $said = array_filter($said, static fn (?string $one): bool => $one !== null && $one !== '');
        if (! isset($said['what']) && $said !== [] && ($brief['extras'] ?? []) === []) {
            throw BriefFault::at('extras', 'say what it is that comes from elsewhere.');
        }
        $others = array_slice(array_values((array) ($brief['extras'] ?? [])), 1);
        $extras = [...isset($said['what']) ? [$said] : [], ...$others];
        unset($brief['extras']);

        return $brief + ($extras === [] ? [] : ['extras' => $extras]);
    }

    private function value(string $key, string $field): mixed
    {
        $text = $this->text($field);

        return match (true) {
            $text === null => null,
            in_array($key, ['watts', 'supply_w', 'processor_w'], true) => (float) $text,
            $key === 'leads' => $text === 'none'
                ? []
                : array_values(array_filter(array_map(trim(...), explode(',', $text)))),
            default => $text,
        };
    }

    /** @return array<string, array<string, string>> */
    private static function fields(): array
    {
        $schools = array_keys(Schools::all());

        return [
            ...self::FIELDS,
            'policy' => array_combine(
                $schools,
                array_map(static fn (string $school): string => "policy_{$school}", $schools),
            ),
        ];
    }
}
