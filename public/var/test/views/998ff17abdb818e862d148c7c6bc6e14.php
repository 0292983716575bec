<?php $__env->startSection('title', "Handover of {$job->title}"); ?>
<?php $__env->startSection('page-class', 'paper'); ?>
<?php $__env->startSection('content'); ?>
<?php ($p = $progress->plan); ?>
<?php ($done = fn (string $id) => ($step = $p->step($id)) ? $progress->doneAt($step) : null); ?>
<?php ($zone = config('cobblestone.timezone')); ?>
<?php ($evidence = fn (string $id) => optional($entries->where('step', $id)->where('kind', 'done')->last())->data['evidence'] ?? []); ?>
<?php ($waived = $entries->where('kind', 'waived')); ?>
<div class="sheet">
<header><div><b>Quillport Ferry Co-operative · device bench</b><br>Handover sheet</div><div class="num">job <?php echo e(sprintf('%04d', $job->id)); ?><br><?php echo e(($job->isOpen() ? now() : $job->updated_at)->copy()->timezone($zone)->format('j F Y')); ?></div></header>
<?php if($job->isOpen()): ?><p class="draft">Draft: the machine is not handed over yet. <?php echo e(count($progress->openPutBacks()) > 0 ? 'Still to put back: '.implode(', ', array_map(fn ($item) => $item['entry']->what, $progress->openPutBacks())).'.' : ''); ?></p><?php endif; ?>
<h1><?php echo e($job->title); ?></h1>
<p>For <?php echo e($p->job['owner']); ?>. This is a <?php echo e($p->job['machine']); ?>. It now carries <b><?php echo e($p->job['system']); ?><?php echo e($p->job['edition'] ? ' '.$p->job['edition'] : ''); ?></b>, installed fresh.</p>
<h2>What was done</h2>
<table class="plain"><tbody>
<?php $__currentLoopData = [['protect.owner-word', 'You agreed to what would be lost'], ['protect.check-backup', 'Your files were copied, and the copy was proven'], ['target.erase', 'The drive was erased'], ['install.phase-0', $p->job['system'].' was installed'], ['updates.system', 'Updates were installed'], ['drivers.audit', 'Every part was given its driver'], ['activation.check', 'Edition and activation were checked'], ['proof.readings', 'The machine was tested'], ['hand-over.give-back', 'You got it back']]; $__env->addLoop($__currentLoopData); foreach($__currentLoopData as [$id, $words]): $__env->incrementLoopIndices(); $loop = $__env->getLastLoop(); ?>
<?php if($p->step($id)): ?><tr><td><?php echo e($words); ?></td><td class="num"><?php if($at = $done($id)): ?><?php echo e(\Illuminate\Support\Carbon::createFromTimestamp($at)->timezone($zone)->format('j M, H:i')); ?><?php else: ?> not yet <?php endif; ?></td></tr><?php endif; ?>
<?php endforeach; $__env->popLoop(); $loop = $__env->getLastLoop(); ?>
</tbody></table>
<h2>Your files</h2>
<?php ($backup = $evidence('protect.check-backup')); ?>
<?php if($backup !== []): ?><p><?php echo e(number_format((int) $backup['files_copy'], 0, '.', ' ')); ?> files were copied before the drive was erased, counted and compared on both sides; samples were opened. Look through them soon: after the agreed date the copy is deleted.</p>
<?php elseif($waived->isNotEmpty()): ?><?php $__currentLoopData = $waived; $__env->addLoop($__currentLoopData); foreach($__currentLoopData as $entry): $__env->incrementLoopIndices(); $loop = $__env->getLastLoop(); ?><p>No proven copy was made. <?php echo e($entry->data['agreed_by']); ?> agreed in writing: “<?php echo e($entry->data['text']); ?>”</p><?php endforeach; $__env->popLoop(); $loop = $__env->getLastLoop(); ?>
<?php elseif($p->step('protect.back-up')): ?><p>Not copied yet.</p><?php else: ?><p>You wanted nothing kept; no copy was made.</p><?php endif; ?>
<h2>What is different from before</h2>
<?php ($stays = array_merge(...array_map(fn ($step) => array_values(array_filter($step->opens, fn ($entry) => $entry->stays)), $p->steps))); ?>
<ul><?php $__empty_1 = true; $__currentLoopData = $stays; $__env->addLoop($__currentLoopData); foreach($__currentLoopData as $entry): $__env->incrementLoopIndices(); $loop = $__env->getLastLoop(); $__empty_1 = false; ?><li><b><?php echo e($entry->what); ?></b> stays like this on purpose. <?php echo e($entry->why); ?> <?php echo e(($signed = $evidence('put-back.sign')['signed_by'] ?? null) ? "Signed: {$signed}." : 'To be signed.'); ?></li><?php endforeach; $__env->popLoop(); $loop = $__env->getLastLoop(); if ($__empty_1): ?><li>Nothing was left weaker than it was. What was changed for the work has been put back.</li><?php endif; ?>
<?php if($p->step('firmware.set')): ?><?php $__currentLoopData = $p->step('firmware.set')->rows; $__env->addLoop($__currentLoopData); foreach($__currentLoopData as $row): $__env->incrementLoopIndices(); $loop = $__env->getLastLoop(); ?><?php if($row['put back'] === 'stays'): ?><li><?php echo e($row['where']); ?> is now “<?php echo e($row['becomes']); ?>”.</li><?php endif; ?> <?php endforeach; $__env->popLoop(); $loop = $__env->getLastLoop(); ?> <?php endif; ?></ul>
<h2>For the first days</h2>
<ul><li>You typed the password yourself; nobody here has it. Keep it where only you find it.</li><li>The first hours may be slow while the system sets itself up.</li><li>Deleting is not secure erasure. Ask us before you pass an old drive on.</li></ul>
<?php ($take = $evidence('intake.take-in')['condition'] ?? null); ?>
<?php if($take): ?><h2>It came in with</h2><p><?php echo e($take); ?></p><?php endif; ?>
<div class="sign"><div>handed over by</div><div>received by <?php echo e($evidence('hand-over.give-back')['received_by'] ?? ''); ?></div></div>
</div>
<div class="acts no-print"><button class="btn go" type="button" data-print data-key="p">Print <kbd>p</kbd></button><a class="btn" href="/jobs/<?php echo e($job->id); ?>">Back to the job</a></div>
<?php $__env->stopSection(); ?>

<?php echo $__env->make('layout', array_diff_key(get_defined_vars(), ['__data' => 1, '__path' => 1]))->render(); ?><?php /**PATH /work/main/resources/views/paper/handover.blade.php ENDPATH**/ ?>