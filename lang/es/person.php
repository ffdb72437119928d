<?php

return [
    'renew_links' => 'Sustituir todos los enlaces',
    'links_renewed' => 'Todos los enlaces enviados a :name han dejado de funcionar. Se crean otros cuando hagan falta.',
    'clock' => 'hora de :place, ahora las :time',
    'disabled' => 'desactivada desde el :day',
    'disable' => 'Desactivar',
    'enable' => 'Activar de nuevo',
    'coming' => 'Próximas sesiones, en la hora de :name',
    'none' => 'Ninguna.',
    'sections' => 'Grupos',
    'no_section' => 'Ninguno este trimestre.',
    'calendar' => 'Calendario',
    'busy' => ':count rato ocupado en su calendario|:count ratos ocupados en su calendario',
    'post' => 'Tus correos',
    'feed_hint' => 'Tu calendario en un enlace secreto, con tus propios enlaces de acceso. No lo compartas.',
    'renew' => 'Sustituir el enlace',
];
