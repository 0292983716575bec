<?php $__env->startSection('title', 'Changed meanwhile'); ?>
<?php $__env->startSection('content'); ?>
<header class="head"><h1><?php echo e($job->title); ?></h1></header>
<section class="panel stop-panel" role="alert"><h2>Somebody was here before you</h2>
<p>This job changed while you were looking at it. Nothing of yours was stored, and nothing of theirs was overwritten. Since your page was made:</p>
<ul><?php $__currentLoopData = $entries; $__env->addLoop($__currentLoopData); foreach($__currentLoopData as $entry): $__env->incrementLoopIndices(); $loop = $__env->getLastLoop(); ?><li><b><?php echo e($entry->user->title); ?></b> <?php echo $__env->make('parts.time', ['at' => $entry->created_at], array_diff_key(get_defined_vars(), ['__data' => 1, '__path' => 1]))->render(); ?>: <?php echo e(\App\View\LogLine::text($entry)); ?> <span class="fine"><?php echo e(implode(' · ', \App\View\LogLine::details($entry))); ?></span></li><?php endforeach; $__env->popLoop(); $loop = $__env->getLastLoop(); ?></ul>
<?php ($words = array_filter(\Illuminate\Support\Arr::dot($typed), fn ($value) => is_string($value) && $value !== '')); ?>
<?php if($words !== []): ?><h2>What you had typed</h2><dl class="typed"><?php $__currentLoopData = $words; $__env->addLoop($__currentLoopData); foreach($__currentLoopData as $field => $value): $__env->incrementLoopIndices(); $loop = $__env->getLastLoop(); ?><dt><?php echo e($field); ?></dt><dd><?php echo e($value); ?></dd><?php endforeach; $__env->popLoop(); $loop = $__env->getLastLoop(); ?></dl><?php endif; ?>
<div class="acts"><a class="btn go" href="/jobs/<?php echo e($job->id); ?>/run">See where the job is now</a></div></section>
<?php $__env->stopSection(); ?>

<?php echo $__env->make('layout', array_diff_key(get_defined_vars(), ['__data' => 1, '__path' => 1]))->render(); ?><?php /**PATH /work/main/resources/views/jobs/changed.blade.php ENDPATH**/ ?>