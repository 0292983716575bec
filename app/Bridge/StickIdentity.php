<?php

declare(strict_types=1);

namespace App\Bridge;

use App\Models\StickState;
use Cobblestone\Catalogue\Stick;
use Cobblestone\Media\Build\StickCondition;
use Cobblestone\Media\StickCode;

/** Which stick of the register somebody holds, by what is printed on it or read from it. */
final class StickIdentity
{
    /** Signs of a serial's end that are enough to ask by. */
    private const END = 4;

    public function __construct(private readonly StickRegister $register)
    {
    }

    /**
     * @param  string  $said  serial or its end, name, label of its volume, number in the register, or the label's code
     * @return list<array{stick: Stick, state: StickState, condition: StickCondition, by: string, older: bool,
     *     jobs: array<int, string>}> by: what it is known by; older: whether the label's code is of an earlier build
     */
    public function of(string $said): array
    {
        $code = StickCode::read($said);
        $states = StickState::query()->get()->keyBy('slug');
        $found = [];
        foreach ($this->register->all() as $slug => $stick) {
            $state = $states->get($slug) ?? StickState::unrecorded($slug);
            $by = $code === null
                ? self::knownBy($said, $stick, $state)
                : ($code->stick === $slug ? 'the code on its label' : null);
            if ($by !== null) {
                $now = $this->register->look($slug);
                $found[] = [
                    'stick' => $stick,
                    'state' => $now,
                    'condition' => $this->register->condition($now),
                    'by' => $by,
                    'older' => $code !== null && ! $code->isOf($state->content['fingerprint'] ?? null),
                    'jobs' => $this->wantedBy($stick),
                ];
            }
        }

        return $found;
    }

    private static function knownBy(string $said, Stick $stick, StickState $state): ?string
    {
        $plain = self::plain($said);
        $serial = self::plain((string) $stick->serial);
        $label = $state->content['label'] ?? null;

        return match (true) {
            $plain === '' => null,
            $plain === $serial => 'its serial',
            strlen($plain) >= self::END && $serial !== '' && str_ends_with($serial, $plain) => 'the end of its serial',
            $plain === self::plain($stick->name) => 'its name',
            $plain === self::plain($stick->id) => 'its number in the register',
            is_string($label) && $plain === self::plain($label) => 'the label of its volume',
            default => null,
        };
    }

    /** Letters and figures, so that a bar or a gap read otherwise is no other serial. */
    private static function plain(string $text): string
    {
        return strtoupper((string) preg_replace('/[^\p{L}\p{N}]+/u', '', $text));
    }

    /** @return array<int, string> open jobs that still take this stick in hand, number => title; the first has it */
    public function wantedBy(Stick $stick): array
    {
        return array_column(KeptStick::of($stick->id)->jobs ?? [], 'title', 'id');
    }
}
