<?php $__env->startSection('title', "Path of {$job->title}"); ?>
<?php $__env->startSection('page-class', 'paper'); ?>
<?php $__env->startSection('content'); ?>
<?php ($p = $progress->plan); ?>
<div class="sheet">
<header><div><b><?php echo e($job->title); ?></b><br><?php echo e($p->job['system']); ?> on <?php echo e($p->job['machine']); ?></div><div class="num">job <?php echo e(sprintf('%04d', $job->id)); ?>, revision <?php echo e($job->revision); ?></div></header>
<p class="fine">For reading while the only computer restarts. What is done here is entered into the job afterwards.</p>
<ol class="paper-path"><?php $__currentLoopData = $p->steps; $__env->addLoop($__currentLoopData); foreach($__currentLoopData as $step): $__env->incrementLoopIndices(); $loop = $__env->getLastLoop(); ?><li class="<?php echo e($step->isOneWay() ? 'one-way' : ''); ?>"><b><?php echo e($step->title); ?></b> <span class="fine"><?php echo e($step->presence->title()); ?>, <?php echo e($step->time->likely->label()); ?><?php echo e($step->isOneWay() ? ', one-way' : ''); ?><?php echo e($progress->state($step)->isClosed() ? ', done' : ''); ?></span>
<?php $__currentLoopData = $step->gates; $__env->addLoop($__currentLoopData); foreach($__currentLoopData as $gate): $__env->incrementLoopIndices(); $loop = $__env->getLastLoop(); ?><div class="gate-line">Gate: <?php echo e($gate->title); ?></div><?php endforeach; $__env->popLoop(); $loop = $__env->getLastLoop(); ?>
<?php $__currentLoopData = $step->cautions; $__env->addLoop($__currentLoopData); foreach($__currentLoopData as $caution): $__env->incrementLoopIndices(); $loop = $__env->getLastLoop(); ?><div class="caution"><?php echo e($caution); ?></div><?php endforeach; $__env->popLoop(); $loop = $__env->getLastLoop(); ?>
<ul><?php $__currentLoopData = $step->instructions; $__env->addLoop($__currentLoopData); foreach($__currentLoopData as $line): $__env->incrementLoopIndices(); $loop = $__env->getLastLoop(); ?><li><?php echo \App\View\Words::html($line); ?></li><?php endforeach; $__env->popLoop(); $loop = $__env->getLastLoop(); ?></ul>
<?php $__currentLoopData = $step->rows; $__env->addLoop($__currentLoopData); foreach($__currentLoopData as $row): $__env->incrementLoopIndices(); $loop = $__env->getLastLoop(); ?><div class="fine"><?php echo e(implode(' · ', array_map(fn ($key, $cell) => "{$key}: {$cell}", array_keys($row), $row))); ?></div><?php endforeach; $__env->popLoop(); $loop = $__env->getLastLoop(); ?>
<?php if($step->waiting): ?><div class="fine">Usual: <?php echo e(implode('; ', $step->waiting->usual)); ?>. Worry after <?php echo e($step->time->high->label()); ?>: <?php echo e($step->waiting->nextTest); ?></div><?php endif; ?></li><?php endforeach; $__env->popLoop(); $loop = $__env->getLastLoop(); ?></ol>
</div>
<div class="acts no-print"><button class="btn go" type="button" data-print data-key="p">Print <kbd>p</kbd></button><a class="btn" href="/jobs/<?php echo e($job->id); ?>">Back to the job</a></div>
<?php $__env->stopSection(); ?>

<?php echo $__env->make('layout', array_diff_key(get_defined_vars(), ['__data' => 1, '__path' => 1]))->render(); ?><?php /**PATH /work/main/resources/views/paper/path.blade.php ENDPATH**/ ?>