<?php

declare(strict_types=1);

namespace Cobblestone\Catalogue;

/** How the symptom index grows from what a bench has seen (rules J6, L1). Documents as the catalogue holds them. */
final class SymptomFrom
{
    /** Words of an identifier. */
    private const LONGEST = 60;

    /**
     * Something that the index does not hold yet.
     *
     * @param  string  $seen  what was seen
     * @param  string  $step  identifier of the stone at which it was seen
     * @param  string  $day  as 2026-11-30
     * @return array<string, mixed>
     */
    public static function told(string $seen, SymptomCause $cause, string $step, string $day, string $source): array
    {
        return [
            'id' => self::id($seen),
            'name' => mb_substr($seen, 0, 200),
            'as_of' => $day,
            'source' => $source,
            'seen' => [mb_strtolower(mb_substr($seen, 0, 200))],
            'normal' => 'no',
            'steps' => [$step],
            'causes' => [$cause->toArray()],
        ];
    }

    /**
     * One more cause of what it holds, last: what is likelier stands before it.
     *
     * @param  array<string, mixed>  $document
     * @return array<string, mixed>
     */
    public static function withCause(array $document, SymptomCause $cause, string $step, string $day): array
    {
        $causes = array_values((array) ($document['causes'] ?? []));
        if (! in_array($cause->cause, array_column($causes, 'cause'), true)) {
            $causes[] = $cause->toArray();
        }
        $steps = array_values(array_filter((array) ($document['steps'] ?? []), is_string(...)));
        $leads = static fn (string $at): bool => str_starts_with($step, $at);
        $offered = $steps === [] || array_filter($steps, $leads) !== [];

        return [...$document, 'as_of' => $day, 'causes' => $causes, ...$offered ? [] : ['steps' => [...$steps, $step]]];
    }

    /**
     * The cause that helps here is looked for first.
     *
     * @param  array<string, mixed>  $document
     * @return array<string, mixed>
     */
    public static function likeliestFirst(array $document, string $cause, string $day): array
    {
        $causes = array_values((array) ($document['causes'] ?? []));
        $is = static fn (mixed $one): bool => is_array($one) && ($one['cause'] ?? null) === $cause;

        return [...$document, 'as_of' => $day, 'causes' => [
            ...array_values(array_filter($causes, $is)),
            ...array_values(array_filter($causes, static fn (mixed $one): bool => ! $is($one))),
        ]];
    }

    /** Letters and digits of any writing that has them in ASCII; a short sum of the words where none has. */
    public static function id(string $seen): string
    {
        $plain = trim((string) preg_replace('/[^a-z0-9]+/', '-', strtolower($seen)), '-');
        $id = trim(substr($plain, 0, self::LONGEST), '-');

        return $id === '' ? 'seen-'.substr(hash('sha256', $seen), 0, 12) : $id;
    }
}
