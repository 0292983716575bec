<?php

declare(strict_types=1);

namespace Cobblestone\Job;

use Cobblestone\Brief\Brief;
use Cobblestone\Brief\BriefFault;
use Cobblestone\Catalogue\Catalogue;
use Cobblestone\Catalogue\UnknownEntry;
use Cobblestone\Document\FieldFault;
use Cobblestone\Policy\Policy;

/**
 * Which fields of a brief this job uses: a field is of use where the path, a decision, a question or a row of the sheet
 * is another without it. What is of none is said before it is saved (rule U1).
 */
final readonly class UsedFields
{
    /** Fields that name the job, and stand on every page and sheet. */
    private const NAMES = [
        'brief', 'title', 'goal', 'owner', 'slot', 'read_at', 'system', 'image', 'catalogue', 'seen',
    ];

    /** Blocks whose fields count one by one; what lies deeper counts as one. */
    private const BLOCKS = ['backup', 'licence', 'update', 'card', 'first_boot', 'policy'];

    /** Parts of the machine that say which one it is, or were read and are not typed. */
    private const OF_MACHINE = ['model', 'kind', 'title', 'facts_from', 'readings', 'lsblk', 'settled'];

    /** What a plan echoes of its brief, used or not. */
    private const ECHOED = ['facts', 'notes', 'defaults'];

    public function __construct(private Catalogue $catalogue, private Policy $bench)
    {
    }

    /**
     * @param  array<string, mixed>  $brief  as a document
     * @return list<string> paths of what was said and nothing here reads, as things stand
     *
     * @throws BriefFault where the whole brief cannot be planned
     * @throws UnknownEntry
     */
    public function unused(array $brief): array
    {
        $whole = $this->told($brief);
        $unused = [];
        foreach (self::paths($brief) as $path) {
            try {
                if ($this->told(self::without($brief, explode(' ', $path))) === $whole) {
                    $unused[] = str_replace(' ', '.', $path);
                }
            } catch (BriefFault|UnknownEntry|FieldFault) {
                // It cannot be left out, so it is used.
            }
        }

        return $unused;
    }

    /**
     * @param  array<string, mixed>  $brief
     * @return list<string> its fields, their parts with a space between
     */
    private static function paths(array $brief): array
    {
        $paths = [];
        foreach (array_diff(array_keys($brief), [...self::NAMES, 'machine']) as $name) {
            $isBlock = in_array($name, self::BLOCKS, true) && is_array($brief[$name]);
            $paths = [...$paths, ...$isBlock
                ? array_map(static fn (int|string $field): string => "{$name} {$field}", array_keys($brief[$name]))
                : [$name]];
        }
        $machine = is_array($brief['machine'] ?? null) ? $brief['machine'] : [];
        foreach (array_keys(is_array($machine['facts'] ?? null) ? $machine['facts'] : []) as $fact) {
            $paths[] = "machine facts {$fact}";
        }
        foreach (array_diff(array_keys($machine), [...self::OF_MACHINE, 'facts']) as $name) {
            $paths[] = "machine {$name}";
        }

        return $paths;
    }

    /**
     * @param  array<array-key, mixed>  $brief
     * @param  non-empty-list<string>  $path
     * @return array<array-key, mixed>
     */
    private static function without(array $brief, array $path): array
    {
        [$name, $rest] = [$path[0], array_slice($path, 1)];
        if ($rest === [] || ! is_array($brief[$name] ?? null)) {
            unset($brief[$name]);

            return $brief;
        }
        $brief[$name] = self::without($brief[$name], $rest);

        return $brief[$name] === [] ? array_diff_key($brief, [$name => 1]) : $brief;
    }

    /**
     * @param  array<array-key, mixed>  $brief
     *
     * @throws BriefFault
     * @throws UnknownEntry
     * @throws FieldFault
     */
    private function told(array $brief): string
    {
        $plan = JobPlanner::plan(Brief::fromArray($brief), $this->catalogue, $this->bench);
        $told = array_diff_key($plan->toArray(), array_flip(self::ECHOED));

        return json_encode($told, JSON_THROW_ON_ERROR);
    }
}
