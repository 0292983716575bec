<?php

namespace App\Http\Requests;

/** The parts of an intake that only some kinds of job ask for: reason of an update, the new card, licence, what the owner depends on. */
final class IntakeBlocks
{
    /** @param  array<string, mixed>  $typed */
    public function __construct(private readonly array $typed)
    {
    }

    /**
     * @param  array<string, mixed>  $before
     * @return array<string, mixed>
     */
    public function over(array $before): array
    {
        $blocks = array_intersect_key($before, array_flip(['memory', 'extras', 'licence', 'depends', 'update', 'card']));
        if (array_key_exists('depends', $this->typed)) {
            $depends = array_values(array_filter(array_map(trim(...), (array) preg_split('/[\n,]/', (string) $this->text('depends'))), static fn ($one): bool => $one !== ''));
            $blocks['depends'] = $depends;
        }
        foreach (['licence' => ['kind' => 'licence_kind', 'edition' => 'licence_edition'], 'update' => ['reason' => 'update_reason', 'to' => 'update_to'], 'card' => ['new' => 'card_new', 'old' => 'card_old']] as $block => $fields) {
            foreach ($fields as $key => $field) {
                if ($this->text($field) !== null) {
                    $blocks[$block][$key] = $this->text($field);
                }
            }
        }
        foreach (['watts' => 'card_watts', 'supply_w' => 'card_supply_w', 'processor_w' => 'card_processor_w'] as $key => $field) {
            if ($this->text($field) !== null) {
                $blocks['card'][$key] = (float) $this->text($field);
            }
        }

        return array_filter($blocks, static fn ($block): bool => $block !== [] && ! (is_array($block) && isset($block['edition']) && ! isset($block['kind'])));
    }

    private function text(string $field): ?string
    {
        $value = $this->typed[$field] ?? null;
        $text = is_scalar($value) ? trim((string) $value) : '';

        return $text === '' ? null : $text;
    }
}
