<?php

return [
    'label' => 'Pasos',
    'stops' => [
        'term' => 'Trimestre',
        'timetable' => 'Horario',
        'joining' => 'Enlaces',
        'registration' => 'Inscripción',
        'publishing' => 'Publicar',
        'today' => 'Hoy',
        'records' => 'Asistencia',
    ],
    'says' => [
        'begin' => 'importa un centro',
        'nothing' => '–',
        'set' => 'listo',
        'clashes' => ':count conflicto|:count conflictos',
        'no_timetable' => ':count sin horario',
        'all_timetabled' => 'todo con horario',
        'no_link' => ':count sin enlace',
        'all_linked' => 'todo con enlace',
        'to_register' => ':count por inscribir',
        'all_registered' => 'todo inscrito',
        'refused' => ':count con error',
        'to_tell' => ':count por anunciar',
        'unpublished' => ':count sin publicar',
        'changes' => ':count cambio|:count cambios',
        'all_published' => 'todo publicado',
        'today' => '{0} ninguna sesión|{1} :count sesión|[2,*] :count sesiones',
        'to_release' => ':count por publicar',
        'held' => ':count celebradas',
    ],
];
