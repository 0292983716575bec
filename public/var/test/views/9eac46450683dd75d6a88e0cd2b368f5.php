<?php $__env->startSection('title', 'Sign in'); ?>
<?php $__env->startSection('page-class', 'narrow'); ?>
<?php $__env->startSection('content'); ?>
<h1>Cobblestone</h1>
<p class="lead-in">Describe the machine and the goal; get a path that is computed, explained, gated, timed and recorded.</p>
<form method="post" action="/login" class="panel" hx-boost="false"><?php echo csrf_field(); ?>
<div class="mb-3"><label for="login" class="form-label">Name at the bench</label><input id="login" name="login" class="form-control" value="<?php echo e(old('login')); ?>" autofocus autocomplete="username" required maxlength="60"><?php echo $__env->make('parts.error', ['field' => 'login'], array_diff_key(get_defined_vars(), ['__data' => 1, '__path' => 1]))->render(); ?></div>
<div class="mb-3"><label for="password" class="form-label">Password</label><input id="password" name="password" type="password" class="form-control" autocomplete="current-password" required maxlength="200"><?php echo $__env->make('parts.error', ['field' => 'password'], array_diff_key(get_defined_vars(), ['__data' => 1, '__path' => 1]))->render(); ?></div>
<button class="btn go">Sign in</button>
</form>
<?php $__env->stopSection(); ?>

<?php echo $__env->make('layout', array_diff_key(get_defined_vars(), ['__data' => 1, '__path' => 1]))->render(); ?><?php /**PATH /work/main/resources/views/login.blade.php ENDPATH**/ ?>