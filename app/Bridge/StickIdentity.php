<?php

declare(strict_types=1);

namespace App\Bridge;

use App\Devices\Build\Fingerprint;
use App\Models\StickState;
use Cobblestone\Catalogue\Stick;
use Cobblestone\Media\Build\StickCondition;
use Cobblestone\Media\StickCode;
use Cobblestone\Storage\Reading\ByteSource;
use Cobblestone\Storage\Reading\FatVolume;
use Cobblestone\Storage\Reading\ReadPartition;
use Cobblestone\Storage\Reading\TableReader;

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
                $older = $code !== null && ! $code->isOf($state->content['fingerprint'] ?? null);
                $found[] = $this->found($stick, $this->register->look($slug), $by, $older);
            }
        }

        return $found;
    }

    /**
     * By the first part of a stick, as somebody read it off. A start that was proven here is its own mark; else the
     * label of a volume in it may tell.
     *
     * @return list<array{stick: Stick, state: StickState, condition: StickCondition, by: string, older: bool,
     *     jobs: array<int, string>}> see of()
     */
    public function ofStart(ByteSource $start): array
    {
        $mark = Fingerprint::ofStart($start);
        $found = [];
        foreach (StickState::query()->where('content->start', $mark)->get() as $state) {
            $stick = $this->register->find($state->slug);
            if ($stick !== null) {
                $now = $this->register->look($state->slug);
                $found[] = $this->found($stick, $now, 'its first 64 KiB, which are what was proven on it', false);
            }
        }
        if ($found !== []) {
            return $found;
        }
        $label = self::label($start);

        return $label === null ? [] : array_map(static fn (array $one): array => [
            ...$one,
            'by' => "the label {$label} alone: its first 64 KiB are not what was proven, so it was changed or is "
                .'another',
        ], $this->of($label));
    }

    /** @return array{stick: Stick, state: StickState, condition: StickCondition, by: string, older: bool,
     *     jobs: array<int, string>} */
    private function found(Stick $stick, StickState $state, string $by, bool $older): array
    {
        return [
            'stick' => $stick,
            'state' => $state,
            'condition' => $this->register->condition($state),
            'by' => $by,
            'older' => $older,
            'jobs' => $this->wantedBy($stick),
        ];
    }

    /** The label of the first volume whose root lies in what was read; null where there is none. */
    private static function label(ByteSource $start): ?string
    {
        $table = TableReader::read($start);
        $volumes = array_map(
            static fn (ReadPartition $one): ByteSource => $table->open($one, $start),
            $table->volumes(),
        );
        foreach ([...$volumes, $start] as $volume) {
            $label = FatVolume::open($volume)?->label();
            if ($label !== null && $label !== '') {
                return $label;
            }
        }

        return null;
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
