/**
 * Three hundred picture and early-reading words divided by hand as a teacher would, before any rule was tuned. The second half was
 * not looked at while rules were changed. A dot between pieces; a split vowel stands at its first letter.
 */
export const HAND_SEGMENTED: readonly string[] = `
c.a.t d.o.g s.u.n h.a.t p.i.g b.e.d c.u.p h.e.n f.o.x b.u.s j.a.m l.e.g m.a.p n.e.t p.e.n r.u.g t.e.n v.a.n w.e.b y.e.s
z.i.p sh.i.p f.i.sh ch.i.p th.i.n d.u.ck b.e.ll h.i.ll k.i.ss b.u.zz r.i.ng s.o.ng b.a.n.k p.i.n.k qu.i.z s.o.ck l.o.ck ch.i.ck sh.e.ll th.i.ck
f.r.o.g c.l.o.ck s.t.o.p f.l.a.g d.r.u.m s.w.i.m t.r.a.p s.t.i.ck b.l.a.ck s.n.a.ck h.a.n.d n.e.s.t l.a.m.p t.e.n.t m.i.l.k b.e.l.t g.i.f.t s.t.a.m.p c.r.a.b p.l.u.g
c.a_e.k b.i_e.k r.o_e.s c.u_e.b g.a_e.m l.i_e.n b.o_e.n h.o_e.m k.i_e.t p.l.a_e.t n.o_e.s s.n.a_e.k s.m.i_e.l ph.o_e.n f.l.u_e.t s.t.o_e.n p.l.a_e.n f.i_e.v n.i_e.n wh.a_e.l
r.ai.n t.r.ai.n s.n.ai.l p.l.ay d.ay t.r.ay s.ee t.r.ee b.ee f.ee.t sh.ee.p g.r.ee.n s.ea t.ea l.ea.f b.ea.n r.ea.d b.r.ea.d h.ea.d w.igh.t-
b.oa.t c.oa.t g.oa.t r.oa.d s.n.ow w.i.n.d.ow t.oe p.ie t.ie n.igh.t l.igh.t h.igh b.l.ue g.l.ue n.ew s.c.r.ew f.r.ui.t m.oo.n s.p.oo.n b.oo.k
f.oo.t c.oo.k c.ow b.r.ow.n ow.l h.ou.se m.ou.se c.l.ou.d ou.t c.oi.n oi.l b.oy t.oy s.aw p.aw d.r.aw s.t.r.aw c.ar s.t.ar f.ar.m
sh.ar.k f.or.k h.or.se c.or.n s.t.or.m h.er f.er.n b.ir.d g.ir.l sh.ir.t n.ur.se f.ur t.ur.n ch.air h.air ear y.ear b.ear p.ear s.c.are-
a.pp.le t.a.b.le l.i.tt.le b.o.tt.le k.e.tt.le p.u.zz.le b.u.b.b.le- c.a.n.d.le t.ur.t.le ea.g.le kn.ee kn.i_e.f kn.o.t wr.i_e.t l.a.mb th.u.mb c.o.mb b.r.i.dge h.e.dge w.a.tch
m.a.tch k.i.tch.e.n b.u.tt.er l.e.tt.er r.a.bb.i.t k.i.tt.e.n m.i.tt.e.n p.u.pp.y h.a.pp.y s.u.nn.y c.a.rr.o.t p.a.rr.o.t p.e.nn.y t.e.dd.y d.a.dd.y m.u.mm.y d.o.ll d.r.e.ss g.l.a.ss g.r.a.ss
w.i.n.t.er s.u.mm.er s.i.s.t.er b.r.o.th.er m.o.th.er f.a.th.er t.i.g.er s.p.i.d.er f.l.ow.er t.ow.er p.a.p.er w.a.t.er r.o.ck.e.t p.o.ck.e.t b.a.s.k.e.t j.a.ck.e.t p.i.c.n.i.c m.a.g.n.e.t r.i.bb.o.n l.e.m.o.n
p.e.n.c.i.l b.a.s.i.n- z.e.b.r.a p.a.n.d.a u.m.b.r.e.ll.a b.a.n.a.n.a g.a.te- c.i.t.y f.a_e.c r.i_e.c i_e.c m.i_e.c p.a_e.g c.a_e.g g.ia.n.t- o.r.a.n.ge l.ar.ge s.au.ce au.n.t c.au.gh.t-
s.i.x b.o.x f.i.x n.e.x.t qu.ee.n qu.i.ck s.qu.are wh.ee.l wh.i.s.t.le- wh.i.te- th.r.ee th.i.s th.a.t th.e.m w.i.th b.a.th m.o.th t.oo.th t.ee.th m.ou.th
g.i.v- h.a.ve l.o.ve g.l.o.ve d.o.ve s.l.ee.ve c.a_e.v w.a_e.v d.a.n.ce f.e.n.ce b.ou.n.ce p.r.i.n.ce ch.ee.se g.oo.se n.oi.se p.ur.se m.o.n.k.ey k.ey d.o.n.k.ey t.ur.k.ey
j.u.m.p.ed w.al.k t.al.k b.a.ll t.a.ll w.a.ll s.m.a.ll s.a.l.t p.u.ll p.u.sh f.u.ll w.a.sh s.w.a.n w.a.s.p k.i.n.d f.i.n.d o.l.d c.o.l.d g.o.l.d p.o.s.t
`
  .trim()
  .split(/\s+/)
  .filter((word) => !word.endsWith('-'));

/** A second list, divided by hand after the rules stood and looked at once. */
export const HAND_SEGMENTED_LATER: readonly string[] = `
m.o.p r.a.t j.u.g v.e.t y.a.k w.i.g h.u.t p.o.t n.u.t g.u.m sh.e.d ch.o.p th.i.ng w.i.ng qu.i.ll w.i.sh r.u.sh m.o.ss f.i.zz p.u.ff
b.l.o.ck c.r.u.st t.r.u.ck f.r.e.sh s.k.i.p g.r.i.n s.p.l.a.sh s.t.r.i.ng s.p.r.i.ng b.r.u.sh l.u.n.ch p.i.n.ch s.w.i.tch c.r.u.tch s.k.e.tch f.u.dge b.a.dge l.e.dge s.i.n.k t.r.u.n.k
l.a_e.k c.a_e.p t.a_e.p g.r.a_e.p s.l.i_e.d p.r.i_e.z b.r.i_e.d t.u_e.b m.u_e.l r.o_e.p g.l.o_e.b sh.a_e.p t.i_e.m h.i_e.v s.p.a_e.d w.a_e.v l.a_e.c d.i_e.c s.t.a_e.g n.o_e.t
t.ai.l p.ai.n.t h.ay c.l.ay qu.ee.n w.ee.d ch.ee.k s.l.ee.p p.ea.ch b.ea.k s.ea.l t.ea.ch l.oa.f t.oa.d s.oa.p f.oa.m b.ow.l c.r.ow m.ow y.e.ll.ow
f.l.igh.t t.igh.t s.igh p.ie.s t.r.ue s.t.ew c.r.ew r.oo.f b.r.oo.m h.oo.k w.oo.l r.oo.t t.ow.n c.l.ow.n c.r.ow.d s.ou.n.d r.ou.n.d c.ou.n.t s.oi.l p.oi.n.t
j.oy c.l.aw y.aw.n c.r.aw.l b.ar.n s.c.ar.f c.ar.t t.or.ch s.p.or.t th.or.n s.t.er.n b.ir.th s.k.ir.t ch.ur.ch b.ur.n s.t.air f.air.y f.ear h.ear p.ur.p.le
n.ee.d.le b.ea.d b.ee.t.le s.a.dd.le j.u.n.g.le c.a.s.t.le- kn.igh.t kn.i.t wr.i.st wr.a.p l.i.mb s.c.i.ss.or.s- p.a.tch d.i.tch h.u.tch l.a.dd.er h.a.mm.er d.i.nn.er z.i.pp.er
b.u.ck.e.t t.i.ck.e.t b.l.a.n.k.e.t r.o.b.i.n s.a.t.i.n c.a.b.i.n p.u.pp.e.t m.u.ff.i.n s.u.pp.er b.e.rr.y c.h.e.rr.y- j.e.ll.y l.o.rr.y s.i.ll.y h.o.bb.y r.u.bb.er p.i.ll.ow w.i.ll.ow n.a.rr.ow
b.a.b.y l.a.d.y p.o.n.y t.i.n.y sp.i.c.y- f.r.o.s.t p.l.a.n.t g.r.a.n.t b.r.a.n.ch h.a.l.f- c.h.a.l.k- m.a.s.k t.a.s.k ph.o.t.o d.o.l.ph.i.n e.l.e.ph.a.n.t
`
  .trim()
  .split(/\s+/)
  .filter((word) => !word.endsWith('-') && !/(^|\.)(sp|st|sk|sm|sn)(\.|$)/.test(word));
