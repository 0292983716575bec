<?php $__env->startSection('title', 'Logbook'); ?>
<?php $__env->startSection('content'); ?>
<header class="head"><h1>Logbook</h1><span class="goal">what happened on the bench, newest first</span></header>
<section class="panel"><?php if($entries->isEmpty()): ?><p>Nothing has happened yet. Every action on a job is written down here.</p><?php endif; ?>
<ol class="log"><?php $__currentLoopData = $entries; $__env->addLoop($__currentLoopData); foreach($__currentLoopData as $entry): $__env->incrementLoopIndices(); $loop = $__env->getLastLoop(); ?><li class="<?php echo e($entry->kind); ?>"><span class="when"><?php echo $__env->make('parts.time', ['at' => $entry->created_at], array_diff_key(get_defined_vars(), ['__data' => 1, '__path' => 1]))->render(); ?></span><div><a href="/jobs/<?php echo e($entry->job_id); ?>/log"><?php echo e($entry->job->title); ?></a> <b><?php echo e(\App\View\LogLine::text($entry)); ?></b> <span class="fine"><?php echo e($entry->user->title); ?></span><?php if(isset($entry->data['text'])): ?><br><span class="fine"><?php echo e($entry->data['text']); ?></span><?php endif; ?></div></li><?php endforeach; $__env->popLoop(); $loop = $__env->getLastLoop(); ?></ol>
<?php echo e($entries->links('parts.pages')); ?></section>
<?php $__env->stopSection(); ?>

<?php echo $__env->make('layout', array_diff_key(get_defined_vars(), ['__data' => 1, '__path' => 1]))->render(); ?><?php /**PATH /work/main/resources/views/logbook/index.blade.php ENDPATH**/ ?>