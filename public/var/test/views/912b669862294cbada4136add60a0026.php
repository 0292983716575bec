<?php $__env->startSection('title', 'New job'); ?>
<?php $__env->startSection('content'); ?>
<header class="head"><h1>New job</h1><span class="goal">clean install from a stick</span></header>
<form method="post" action="/jobs" class="panel intake"><?php echo csrf_field(); ?>
<?php echo $__env->make('jobs.form', array_diff_key(get_defined_vars(), ['__data' => 1, '__path' => 1]))->render(); ?>
<div class="acts"><button class="btn go">Show the path <kbd>Enter</kbd></button><span class="fine">Only machine and image are needed. The rest can follow when a rule asks for it.</span></div>
</form>
<?php $__env->stopSection(); ?>

<?php echo $__env->make('layout', array_diff_key(get_defined_vars(), ['__data' => 1, '__path' => 1]))->render(); ?><?php /**PATH /work/main/resources/views/jobs/new.blade.php ENDPATH**/ ?>