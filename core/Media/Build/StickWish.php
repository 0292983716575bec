<?php

declare(strict_types=1);

namespace Cobblestone\Media\Build;

use Cobblestone\Media\WriteMode;
use Cobblestone\Quantity\Bytes;
use Cobblestone\Storage\Scheme;

/** What somebody, or the policy, wants of a stick. */
final readonly class StickWish
{
    /**
     * @param  Bytes  $part  size of a part when a file is split
     * @param  bool  $storage  a partition for other files beside the installer (rule M16)
     * @param  array<string, string>  $parts  path of a file whose parts the installer joins => pattern of their
     *     names, with one %d
     * @param  list<string>|null  $splitter  the system's own splitter as an argument array
     * @param  list<string>  $takenLabels  labels of other sticks
     */
    public function __construct(
        public string $title,
        public Bytes $part,
        public WriteMode $mode,
        public Scheme $scheme = Scheme::Gpt,
        public bool $storage = false,
        public ?string $label = null,
        public array $parts = [],
        public ?array $splitter = null,
        public array $takenLabels = [],
        public ?AnswerText $answers = null,
    ) {
    }
}
