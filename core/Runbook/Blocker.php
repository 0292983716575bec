<?php

declare(strict_types=1);

namespace Cobblestone\Runbook;

/** Why some stones of a path must not be laid, which ones, and what would open them (rule K1). */
final readonly class Blocker
{
    /**
     * @param  string  $reason  one or two sentences for a person
     * @param  string  $rule  of the rulebook
     * @param  list<string>  $facts  what it rests on
     * @param  non-empty-list<Act>  $unsafe  what stones do that it shuts
     * @param  list<string>  $waivableBy  roles that may waive it in writing
     */
    private function __construct(
        public string $id,
        public string $reason,
        public string $rule,
        public array $facts,
        public array $unsafe,
        public OpensBy $opens,
        public array $waivableBy,
    ) {
    }

    /**
     * Shuts every stone that changes the machine or a medium.
     *
     * @param  list<string>  $facts
     * @param  list<Act>  $besides  what it makes unsafe besides, such as copying
     * @param  list<string>  $waivableBy
     */
    public static function stop(
        string $id, string $reason, string $rule, array $facts = [], OpensBy $opens = OpensBy::Answer, array $besides = [], array $waivableBy = [],
    ): self {
        return new self($id, $reason, $rule, $facts, [...Act::changing(), ...$besides], $opens, $waivableBy);
    }

    /**
     * Shuts only what it names, and the handover.
     *
     * @param  non-empty-list<Act>  $unsafe
     * @param  list<string>  $facts
     * @param  list<string>  $waivableBy
     */
    public static function narrow(
        string $id, string $reason, string $rule, array $unsafe, array $facts = [], OpensBy $opens = OpensBy::Answer, array $waivableBy = [],
    ): self {
        return new self($id, $reason, $rule, $facts, [...$unsafe, Act::HandOver], $opens, $waivableBy);
    }

    public function covers(Step $step): bool
    {
        foreach ($step->acts as $act) {
            if (in_array($act, $this->unsafe, true)) {
                return true;
            }
        }

        return false;
    }

    /** Whether it shuts everything that changes something. */
    public function isStop(): bool
    {
        return array_filter(Act::changing(), fn (Act $act): bool => ! in_array($act, $this->unsafe, true)) === [];
    }

    public function gate(): Gate
    {
        return new Gate("stop-{$this->id}", Fact::cleared($this->id), $this->reason, '', $this->waivableBy,
            kind: $this->isStop() ? GateKind::Stop : GateKind::Hold, opens: $this->opens, rule: $this->rule, facts: $this->facts);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'id' => $this->id, 'reason' => $this->reason, 'rule' => $this->rule, 'facts' => $this->facts,
            'unsafe' => array_column($this->unsafe, 'value'), 'opens_by' => $this->opens->value, 'waivable_by' => $this->waivableBy,
        ];
    }

    /** @param  array<string, mixed>|string  $data  a plain sentence in plans of an earlier format, taken for a stop */
    public static function fromArray(array|string $data): self
    {
        if (is_string($data)) {
            return self::stop(substr(hash('sha256', $data), 0, 12), $data, 'K1');
        }

        return new self(
            $data['id'], $data['reason'], $data['rule'], $data['facts'], array_map(Act::from(...), $data['unsafe']),
            OpensBy::from($data['opens_by']), $data['waivable_by'],
        );
    }
}
