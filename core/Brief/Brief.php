<?php

declare(strict_types=1);

namespace Cobblestone\Brief;

/** What a person asks for: the machine, the goal, what is already known (format: docs/guide/brief.md). */
final readonly class Brief
{
    public const FORMAT = 1;

    /**
     * @param  array<string, mixed>  $machine  model or kind and ports, facts, lsblk text
     * @param  string|array<string, mixed>|null  $system  identifier, or a description where the catalogue has none
     * @param  string|array<string, mixed>|null  $image  the same
     * @param  list<string>|null  $sticks
     * @param  array<string, mixed>  $backup
     * @param  array<string, string>  $policy
     * @param  array<string, mixed>  $blocks  memory, licence, depends, extras, update, card, seen: what some kinds of job ask for besides
     */
    private function __construct(
        public string $title,
        public string $goal,
        public string $owner,
        public array $machine,
        public string|array|null $system,
        public ?string $edition,
        public string|array|null $image,
        public ?array $sticks,
        public array $backup,
        public array $policy,
        public bool $emptyCatalogue,
        public ?string $readAt,
        public array $blocks = [],
    ) {
    }

    /**
     * @param  array<string, mixed>  $data  a document that docs/guide/schema/brief.schema.json accepts
     *
     * @throws BriefFault
     */
    public static function fromArray(array $data): self
    {
        if (($data['brief'] ?? null) !== self::FORMAT) {
            throw BriefFault::at('brief', 'the first line must be "brief: 1", the number of this format.');
        }
        foreach (['title' => 'string', 'machine' => 'array'] as $field => $type) {
            if (gettype($data[$field] ?? null) !== $type || $data[$field] === '') {
                throw BriefFault::at($field, $type === 'string' ? 'a few words are wanted.' : 'a block with "model" or "kind" is wanted.');
            }
        }
        foreach (['system', 'image'] as $field) {
            if (isset($data[$field]) && ! is_string($data[$field]) && ! is_array($data[$field])) {
                throw BriefFault::at($field, 'an identifier of the catalogue or a description is wanted.');
            }
        }
        if (isset($data['machine']['model']) === isset($data['machine']['kind'])) {
            throw BriefFault::at('machine', 'give either "model" (from the catalogue) or "kind" (for a machine it does not hold).');
        }

        return new self(
            trim($data['title']), $data['goal'] ?? 'clean-install', $data['owner'] ?? 'the owner', FixedChoice::of($data['machine']), $data['system'] ?? null,
            $data['edition'] ?? null, $data['image'] ?? null, $data['sticks'] ?? null, $data['backup'] ?? [], $data['policy'] ?? [],
            ($data['catalogue'] ?? null) === 'none', $data['read_at'] ?? null,
            array_intersect_key($data, array_flip(['memory', 'licence', 'depends', 'extras', 'update', 'card', 'seen'])),
        );
    }
}
