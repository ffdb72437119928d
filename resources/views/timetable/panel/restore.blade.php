<x-act :to="route('session.restore', [$panel->section, $panel->series, $panel->session])" method="delete" :do="__('session.restore')" />
