<?php

use Cobblestone\Brief\SameAgain;

it('takes over which machine it is and whose, and nothing that stood on it', function () {
    $machine = ['kind' => 'laptop', 'title' => 'Grey one', 'ports' => ['usb-c' => 2]];
    $facts = ['machine.serial' => 'GR-1', 'drive.encryption' => 'chip', 'firmware.secure_boot' => 'off'];
    expect(SameAgain::of([
        'brief' => 1, 'title' => 'x', 'owner' => 'the quay office', 'slot' => 3, 'goal' => 'repair', 'extras' => [[]],
        'machine' => [...$machine, 'facts' => $facts, 'lsblk' => '{}', 'readings' => [['tool' => 'lshw']]],
    ]))->toBe([
        'owner' => 'the quay office',
        'machine' => [...$machine, 'facts' => ['machine.serial' => 'GR-1']],
    ])->and(SameAgain::of(['machine' => ['model' => 'norrel-fairlead-13', 'facts' => ['x' => 1]]]))
        ->toBe(['machine' => ['model' => 'norrel-fairlead-13']])
        ->and(SameAgain::of([]))->toBe(['machine' => []])
        ->and(SameAgain::of(['machine' => 'none']))->toBe(['machine' => []]);
});
